import { seededRandom } from '../units/index.ts';
import { STRUCK, hallSound, impactSound, throughLoudspeaker } from './index.ts';

const rate = 8000;
const energy = (samples: Float32Array, from: number, to: number): number =>
  samples.subarray(from * rate, to * rate).reduce((sum, each) => sum + each * each, 0);

describe('impactSound', () => {
  it.each(STRUCK)('%s is loudest soon after the touch, and dies away', (what) => {
    const samples = impactSound(what, rate, seededRandom(2));
    const loudest = samples.reduce(
      (best, each, i) => (Math.abs(each) > Math.abs(samples[best]!) ? i : best),
      0,
    );
    expect(Math.abs(samples[loudest]!)).toBeCloseTo(1, 6);
    expect(loudest / rate).toBeLessThan(0.03);
    expect(energy(samples, 0.2, 0.35)).toBeLessThan(0.01 * energy(samples, 0, 0.05));
  });
});

describe('hallSound', () => {
  const strike = { at: 0.5, gain: 1, samples: impactSound('pad', rate, seededRandom(2)) };
  const hall = { sampleRate: rate, seconds: 2, strikes: [strike], signalToNoise: 60, echo: 0, peak: 0.5 };
  it('begins a strike at its instant, however much echo there is', () => {
    for (const echo of [0, 1.2]) {
      const samples = hallSound({ ...hall, echo }, seededRandom(1));
      expect(energy(samples, 0.5, 0.51)).toBeGreaterThan(100 * energy(samples, 0.45, 0.5));
    }
  });
  it('rings on with an echo', () => {
    const late = (echo: number): number => energy(hallSound({ ...hall, echo }, seededRandom(1)), 0.9, 1.2);
    expect(late(1.4)).toBeGreaterThan(10 * late(0));
  });
  it('has noise as strong as is asked for', () => {
    const samples = hallSound({ ...hall, signalToNoise: 10 }, seededRandom(1));
    const ratio = energy(samples, 0.5, 0.55) / energy(samples, 1.5, 1.55);
    expect(10 * Math.log10(ratio)).toBeGreaterThan(7);
    expect(10 * Math.log10(ratio)).toBeLessThan(15);
  });
  it('cuts off what is too loud, and is the same from the same seed', () => {
    const samples = hallSound({ ...hall, peak: 3 }, seededRandom(1));
    expect(Math.max(...samples)).toBeLessThanOrEqual(1);
    expect(samples.filter((each) => Math.abs(each) === 1).length).toBeGreaterThan(3);
    expect(hallSound({ ...hall, peak: 3 }, seededRandom(1))).toEqual(samples);
  });
  it('lets voices be heard', () => {
    const voice = { at: 1.2, gain: 1, samples: Float32Array.from({ length: 2000 }, (_, i) => Math.sin(i)) };
    const samples = hallSound({ ...hall, voices: [voice] }, seededRandom(1));
    expect(energy(samples, 1.2, 1.4)).toBeGreaterThan(100 * energy(samples, 1.6, 1.8));
  });
});

describe('throughLoudspeaker', () => {
  const way = { sampleRate: rate, late: 0.05, echo: 0.5, directOverRoom: 15, drive: 0 };
  const click = Float32Array.from({ length: rate }, (_, i) => (i < 40 ? Math.sin(i) : 0));
  it('comes later, and rings on the longer the nearer the hall is', () => {
    const tail = (directOverRoom: number): number => {
      const heard = Float32Array.from(throughLoudspeaker(click, { ...way, directOverRoom }, seededRandom(3)));
      expect(energy(heard, 0, 0.05)).toBe(0);
      return energy(heard, 0.07, 0.5) / energy(heard, 0.05, 0.06);
    };
    expect(tail(0)).toBeGreaterThan(10 * tail(15));
  });
  it('loses some of its loudest samples where it is driven', () => {
    const most = (drive: number): number =>
      Math.max(...throughLoudspeaker(click, { ...way, drive }, seededRandom(3)));
    expect(most(1)).toBeLessThan(0.9 * most(0));
  });
});
