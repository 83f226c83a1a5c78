import fc from 'fast-check';
import { normalDraw, seededRandom } from '../units/index.ts';
import { ClapDetector } from './claps.ts';

interface Sound {
  readonly at: number;
  readonly kind: 'clap' | 'thud' | 'word';
  readonly level?: number;
}

/** Drawn once: a hall takes it from another place on. */
const NOISE = (() => {
  const random = seededRandom(1);
  return Float32Array.from({ length: 1 << 15 }, () => normalDraw(random));
})();

/** A hall with sounds in it: noise of the room, and after each sound an echo that is gone (60 dB) after `echo` seconds. */
function hall(
  sounds: readonly Sound[],
  { rate = 16_000, seconds = 4, room = 0.002, echo = 0.6, seed = 1 } = {},
): Float32Array {
  const samples = new Float32Array(Math.round(rate * seconds));
  let drawn = seed * 7919;
  const noiseNext = (): number => NOISE[drawn++ & (NOISE.length - 1)]!;
  for (let i = 0; i < samples.length; i++) samples[i] = room * noiseNext();
  for (const { at, kind, level = 0.5 } of sounds) {
    const from = Math.round(at * rate);
    let before = 0;
    for (let i = 0; from + i < samples.length && i < rate; i++) {
      const t = i / rate;
      const noise = noiseNext();
      // A clap is noise without its low part; its echo is 15 dB below it.
      const bright = noise - before;
      before = noise;
      const value = {
        clap: 0.5 * bright * (Math.exp(-t / 0.006) + 0.18 * 10 ** ((-3 * t) / echo)),
        thud: Math.sin(2 * Math.PI * 110 * t) * Math.exp(-t / 0.05) + 0.15 * noise * Math.exp(-t / 0.008),
        word: t < 0.4 ? 0.4 * bright * Math.min(1, t / 0.05) : 0,
      }[kind];
      samples[from + i]! += level * value;
    }
  }
  return samples;
}

const heard = (samples: Float32Array, rate = 16_000, piece = samples.length): number[] => {
  const detector = new ClapDetector(rate);
  const found: number[] = [];
  for (let i = 0; i < samples.length; i += piece)
    found.push(...detector.push(samples.subarray(i, i + piece)));
  return found;
};
const claps = (...at: number[]): Sound[] => at.map((each) => ({ at: each, kind: 'clap' }));

describe('two claps', () => {
  it.each([8000, 16_000, 44_100, 48_000])('are heard at %i samples a second, where they began', (rate) => {
    const [at, ...more] = heard(hall(claps(1, 1.4), { rate }), rate);
    expect(at).toBeGreaterThan(0.99);
    expect(at).toBeLessThan(1.01);
    expect(more).toEqual([]);
  });
  it('are heard in a hall with an echo, in noise, and softer', () => {
    let found = 0;
    for (let seed = 1; seed <= 20; seed++) {
      const loud = { kind: 'clap', level: 0.25 + (seed % 4) * 0.15 } as const;
      const samples = hall(
        [
          { at: 1.2, ...loud },
          { at: 1.2 + 0.2 + 0.018 * seed, ...loud },
        ],
        {
          echo: 0.5 + 0.04 * seed,
          room: 0.001 * (1 + (seed % 5)),
          seed,
        },
      );
      found += heard(samples).length;
    }
    expect(found).toBeGreaterThanOrEqual(19);
  });
  it('are neither one, nor three, nor two that are far apart', () => {
    expect(heard(hall(claps(1)))).toEqual([]);
    expect(heard(hall(claps(1, 1.4, 1.8)))).toEqual([]);
    expect(heard(hall(claps(1, 2.2)))).toEqual([]);
  });
  it('are neither strikes on a pad, nor words, nor a room that becomes loud', () => {
    expect(
      heard(
        hall([
          { at: 1, kind: 'thud' },
          { at: 1.4, kind: 'thud' },
        ]),
      ),
    ).toEqual([]);
    expect(
      heard(
        hall([
          { at: 1, kind: 'word' },
          { at: 1.6, kind: 'word' },
        ]),
      ),
    ).toEqual([]);
    expect(heard(hall([], { room: 0.1 }))).toEqual([]);
  });
  it('do not count beside a strike', () => {
    expect(heard(hall([...claps(1, 1.4), { at: 1.7, kind: 'thud', level: 0.9 }]))).toEqual([]);
  });
  it('count for nothing while the device sounds itself', () => {
    const samples = hall(claps(1, 1.4));
    const detector = new ClapDetector(16_000);
    const cut = 16_000 * 1.2;
    expect(detector.push(samples.subarray(0, cut), true)).toEqual([]);
    expect(detector.push(samples.subarray(cut))).toEqual([]);
  });
  it('are the same in pieces of any length', () => {
    const samples = hall([...claps(0.7, 1.1, 2.4, 2.9), { at: 1.9, kind: 'thud' }], { seconds: 4 });
    const whole = heard(samples, 16_000);
    expect(whole.length).toBeGreaterThan(0);
    fc.assert(
      fc.property(fc.integer({ min: 16, max: 9000 }), (piece) =>
        expect(heard(samples, 16_000, piece)).toEqual(whole),
      ),
      { numRuns: 8 },
    );
  });
});
