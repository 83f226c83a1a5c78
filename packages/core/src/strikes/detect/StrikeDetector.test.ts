import fc from 'fast-check';
import { hallSound, impactSound, type Placed } from '../../simulation/index.ts';
import { seededRandom } from '../../units/index.ts';
import { StrikeDetector, detectStrikes, type LoudOnset } from '../index.ts';

const AT = [0.8, 1.2, 1.32, 1.9, 2.15, 2.9];

interface Wish {
  readonly rate?: number;
  readonly signalToNoise?: number;
  readonly echo?: number;
  readonly peak?: number;
  readonly gains?: readonly number[];
}

function heard({ rate = 24_000, signalToNoise = 20, echo = 0.8, peak = 0.4, gains = [] }: Wish = {}) {
  const random = seededRandom(5);
  const strikes = AT.map((at, i): Placed => ({
    at,
    gain: gains[i] ?? 1,
    samples: impactSound((['pad', 'mitt', 'heavy bag'] as const)[i % 3]!, rate, random),
  }));
  return {
    sampleRate: rate,
    samples: hallSound({ sampleRate: rate, seconds: 4, strikes, signalToNoise, echo, peak }, random),
  };
}

function expectAll(onsets: readonly LoudOnset[]): void {
  expect(onsets).toHaveLength(AT.length);
  for (const [i, { at }] of onsets.entries()) expect(Math.abs(at - AT[i]!)).toBeLessThan(0.02);
}

describe('StrikeDetector', () => {
  it.each([8000, 11_025, 16_000, 22_050, 44_100, 48_000, 96_000])(
    'hears them at %s samples a second',
    (rate) => {
      expectAll(detectStrikes(heard({ rate })));
    },
  );
  it.each([-35, -20, -6, 0])('hears them at %s dB of full scale', (level) => {
    expectAll(detectStrikes(heard({ peak: 10 ** (level / 20) })));
  });
  it('hears them where the microphone cuts off', () => expectAll(detectStrikes(heard({ peak: 3 }))));
  it('hears weak ones between strong ones, and tells how strong each was', () => {
    const onsets = detectStrikes(heard({ gains: [1, 1, 1, 0.3, 1, 1] }));
    expectAll(onsets);
    expect(onsets[3]!.strength).toBeLessThan(Math.min(...[0, 1, 2, 4, 5].map((i) => onsets[i]!.strength)));
  });
  it('finds nothing in silence, in a steady hum, in noise', () => {
    const rate = 16_000;
    const random = seededRandom(1);
    for (const sample of [
      () => 0,
      (i: number) => 0.3 * Math.sin((2 * Math.PI * 100 * i) / rate),
      () => 0.2 * (random() - 0.5),
    ]) {
      const samples = Float32Array.from({ length: 5 * rate }, (_, i) => sample(i));
      expect(detectStrikes({ sampleRate: rate, samples })).toEqual([]);
    }
  });
  it.each([0.01, 0.03, 0.2, 1])(
    'takes a microphone that begins after %s s, or leaves out as long, for no strike',
    (nothing) => {
      const rate = 48_000;
      const random = seededRandom(2);
      for (const level of [0.002, 0.02, 0.2]) {
        const isGone = (at: number) => at < nothing || (at > 2 && at < 2 + nothing);
        const samples = Float32Array.from({ length: 4 * rate }, (_, i) =>
          isGone(i / rate) ? 0 : level * (random() - 0.5),
        );
        expect(detectStrikes({ sampleRate: rate, samples })).toEqual([]);
      }
    },
  );
  it('hears a strike out of nothing', () => {
    const rate = 16_000;
    const samples = new Float32Array(2 * rate);
    samples.set(impactSound('heavy bag', rate, seededRandom(3)), rate);
    expect(detectStrikes({ sampleRate: rate, samples })).toHaveLength(1);
  });
  it('doubts what is weaker than anybody here strikes', () => {
    const sound = heard();
    const least =
      detectStrikes(sound).reduce((most, { strength }) => Math.max(most, strength), -Infinity) + 1;
    expect(detectStrikes(sound, { leastStrength: least }).every(({ doubtful }) => doubtful)).toBe(true);
  });
  it('finds the same in pieces of any length', () => {
    const { sampleRate, samples } = heard();
    const whole = detectStrikes({ sampleRate, samples });
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 30_000 }), { minLength: 1, maxLength: 12 }),
        (lengths) => {
          const detector = new StrikeDetector(sampleRate);
          const found: LoudOnset[] = [];
          for (let at = 0, i = 0; at < samples.length; i++) {
            const next = at + lengths[i % lengths.length]!;
            found.push(...detector.push(samples.subarray(at, next)));
            at = next;
          }
          expect([...found, ...detector.end()]).toEqual(whole);
        },
      ),
      { numRuns: 12 },
    );
  });
  it('tells a strike within 100 ms of its sound', () => {
    const { sampleRate, samples } = heard();
    const detector = new StrikeDetector(sampleRate);
    const piece = Math.round(sampleRate * 0.01);
    for (let at = 0; at < samples.length; at += piece)
      for (const onset of detector.push(samples.subarray(at, at + piece)))
        expect((at + piece) / sampleRate - onset.at).toBeLessThan(0.1);
  });
});
