import fc from 'fast-check';
import { seededRandom } from '../../units/index.ts';
import { quietRoom, soundOf, spectraOf, spokenCall, type SpokenCall } from '../index.ts';

const RATE = 22_050;
const noise = (count: number, loud: number, seed = 1): Float32Array => {
  const random = seededRandom(seed);
  return Float32Array.from({ length: count }, () => loud * (2 * random() - 1));
};
/** Something like a vowel: harmonics of 140 Hz that swell and fade. */
const vowel = (seconds: number, loud = 0.4): Float32Array =>
  Float32Array.from({ length: Math.round(seconds * RATE) }, (_, i) => {
    const t = i / RATE;
    const swell = Math.min(1, t / 0.02, (seconds - t) / 0.05);
    let sum = 0;
    for (let k = 1; k < 20; k++) sum += Math.cos(2 * Math.PI * 140 * k * t + k) / k;
    return (loud * swell * sum) / 3;
  });
/** Voices in a recording, each `[at, samples]` in seconds, over a room. */
const recorded = (seconds: number, room: Float32Array | null, ...voices: [number, Float32Array][]) => {
  const samples = room?.slice(0, Math.round(seconds * RATE)) ?? new Float32Array(Math.round(seconds * RATE));
  for (const [at, voice] of voices)
    voice.forEach((x, i) => {
      const place = Math.round(at * RATE) + i;
      if (place >= 0 && place < samples.length) samples[place]! += x;
    });
  return { sampleRate: RATE, samples };
};
const found = (sound: Parameters<typeof spokenCall>[0]): SpokenCall => {
  const call = spokenCall(sound);
  if (typeof call === 'string') throw new Error(call);
  return call;
};
const hum = Float32Array.from({ length: 3 * RATE }, (_, i) => 0.3 * Math.sin((2 * Math.PI * 50 * i) / RATE));
const rms = (samples: Float32Array): number =>
  Math.sqrt(samples.reduce((sum, x) => sum + x * x, 0) / samples.length);

describe('spectra', () => {
  it('give back the sound that they are of', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 4000 }), fc.integer({ min: 0, max: 1000 }), (length, seed) => {
        const samples = noise(length, 0.5, seed);
        const back = soundOf(spectraOf({ sampleRate: RATE, samples }), () => 1).samples;
        expect(back.every((x, i) => Math.abs(x - samples[i]!) < 1e-5)).toBe(true);
      }),
      { numRuns: 20 },
    );
  });
});

describe('a quiet room', () => {
  it('is a loud one turned down, and the voice stays', () => {
    const sound = recorded(2, noise(2 * RATE, 0.05), [0.8, vowel(0.4)]);
    const quiet = quietRoom(sound).sound.samples;
    const [before, after] = [sound.samples, quiet].map((x) => rms(x.slice(0, RATE / 2))) as [number, number];
    expect(20 * Math.log10(before / after)).toBeGreaterThan(12);
    const voice = (x: Float32Array): number => rms(x.slice(0.85 * RATE, 1.1 * RATE));
    expect(Math.abs(20 * Math.log10(voice(quiet) / voice(sound.samples)))).toBeLessThan(1);
  });
  it('of silence is silence', () =>
    expect(quietRoom(recorded(1, null)).sound.samples.every((x) => x === 0)).toBe(true));
});

describe('a spoken call', () => {
  it.each([0, 0.002, 0.01, 0.04, 0.08])('is found in a room of %f', (loud) => {
    const call = found(recorded(2.5, noise(3 * RATE, loud), [0.9, vowel(0.4)]));
    expect(Math.abs(call.cutBefore - 0.9)).toBeLessThan(0.045);
    expect(call.sound.samples.length / RATE).toBeLessThan(0.5);
    expect(call.sound.samples.length / RATE).toBeGreaterThan(0.35);
    expect(call.cutOff).toBeNull();
  });
  it('tells how far it stands over its room', () => {
    const over = [0.08, 0.02, 0.005].map(
      (loud) => found(recorded(2.5, noise(3 * RATE, loud), [0.9, vowel(0.4)])).overRoom,
    );
    expect(over[0]).toBeLessThan(20);
    expect(over[1]! - over[0]!).toBeCloseTo(12, -0.7);
    expect(over[2]! - over[1]!).toBeCloseTo(12, -0.7);
  });
  it('is found where the mains hum', () => {
    const call = found(recorded(2.5, hum, [1.1, vowel(0.4, 0.2)]));
    expect(Math.abs(call.cutBefore - 1.1)).toBeLessThan(0.045);
  });
  it('keeps both words of one, and leaves a click far away', () => {
    const call = found(
      recorded(3, noise(3 * RATE, 0.004), [0.2, noise(200, 0.9)], [1, vowel(0.3)], [1.5, vowel(0.3)]),
    );
    expect(Math.abs(call.cutBefore - 1)).toBeLessThan(0.045);
    expect(call.sound.samples.length / RATE).toBeCloseTo(0.84, 1);
  });
  it('is distinguished from what is none', () => {
    expect(spokenCall(recorded(2, null))).toBe('silent');
    expect(spokenCall(recorded(2, noise(2 * RATE, 0.003), [1, noise(300, 0.9)]))).toBe('click');
    expect(spokenCall(recorded(2, noise(2 * RATE, 0.2)))).toBe('noise');
  });
  it('that is cut in half is reported', () => {
    expect(found(recorded(1.5, noise(2 * RATE, 0.002), [-0.2, vowel(0.5)])).cutOff).toBe('start');
    expect(found(recorded(1.5, noise(2 * RATE, 0.002), [1.2, vowel(0.6)])).cutOff).toBe('end');
  });
});
