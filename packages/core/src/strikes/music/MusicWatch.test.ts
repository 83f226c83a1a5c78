import { hallSound, impactSound, musicSound } from '../../simulation/index.ts';
import { seededRandom } from '../../units/index.ts';
import { MusicWatch, hasMusic } from './MusicWatch.ts';

const RATES = [16_000, 48_000];

/** Four strikes a second, and something else beside them. */
function hall(sampleRate: number, beside: Float32Array | null, seconds = 14): Float32Array<ArrayBuffer> {
  const random = seededRandom(4);
  const strikes = Array.from({ length: 4 * seconds - 4 }, (_, i) => ({
    at: 0.5 + i / 4,
    gain: 1,
    samples: impactSound('pad', sampleRate, random),
  }));
  const voices = beside ? [{ at: 0, gain: 0.5, samples: beside }] : [];
  return hallSound({ sampleRate, seconds, strikes, voices, signalToNoise: 20, echo: 0.8, peak: 0.7 }, random);
}

const music = (sampleRate: number, seconds = 14): Float32Array<ArrayBuffer> =>
  musicSound({ sampleRate, seconds }, seededRandom(9));

const tone = (sampleRate: number, seconds: number, hertz: number): Float32Array<ArrayBuffer> =>
  Float32Array.from(
    { length: sampleRate * seconds },
    (_, i) => 0.3 * Math.sin((2 * Math.PI * hertz * i) / sampleRate),
  );

describe('music', () => {
  it.each(RATES)('is distinguished from strikes and echo, at %d samples a second', (sampleRate) => {
    expect(hasMusic({ sampleRate, samples: hall(sampleRate, null) })).toBe(false);
    expect(hasMusic({ sampleRate, samples: hall(sampleRate, music(sampleRate)) })).toBe(true);
  });
  it('is reported while it plays, and no more a while after it has stopped', () => {
    const watch = new MusicWatch(16_000);
    watch.push(hall(16_000, music(16_000)));
    expect(watch.isHeard).toBe(true);
    watch.push(hall(16_000, null));
    expect([watch.isHeard, watch.wasHeard]).toEqual([false, true]);
  });
  it('is no bell, no ventilator and no silence', () => {
    const sampleRate = 16_000;
    const bell = tone(sampleRate, 14, 880).map((sample, i) => sample * Math.exp(-i / sampleRate / 0.6));
    expect(hasMusic({ sampleRate, samples: hall(sampleRate, bell) })).toBe(false);
    expect(hasMusic({ sampleRate, samples: new Float32Array(14 * sampleRate) })).toBe(false);
    const hum = new MusicWatch(sampleRate);
    hum.push(tone(sampleRate, 30, 300));
    expect(hum.isHeard).toBe(false);
  });
  it('is reported the same of pieces of any length', () => {
    const samples = hall(16_000, music(16_000, 8), 8);
    const states = [128, 1000, 16_000].map((size) => {
      const watch = new MusicWatch(16_000);
      const reported: boolean[] = [];
      for (let from = 0; from < samples.length; from += size) {
        watch.push(samples.subarray(from, from + size));
        if ((from + size) % 16_000 === 0) reported.push(watch.isHeard);
      }
      return reported.filter(Boolean).length;
    });
    expect(states[0]).toBeGreaterThan(0);
    expect(states[2]).toBe(states[0]);
  });
});
