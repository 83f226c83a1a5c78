import { bagMotion } from '../simulation/index.ts';
import { seededRandom } from '../units/index.ts';
import { MotionDetector, type MotionSample, type MotionStrike } from './index.ts';

function heard(samples: readonly MotionSample[]): MotionStrike[] {
  const detector = new MotionDetector();
  return samples.flatMap((sample) => detector.push(sample) ?? []);
}

describe('MotionDetector', () => {
  it('counts forty strikes at four a second within one, at 60 samples a second', () => {
    let right = 0;
    for (let seed = 1; seed <= 50; seed++) {
      const random = seededRandom(seed);
      const strikes = Array.from({ length: 40 }, (_, i) => 1 + i / 4 + 0.02 * (random() - 0.5));
      const found = heard(bagMotion(strikes, { seconds: 13, hertz: 60 }, random));
      if (Math.abs(found.length - 40) <= 1) right += 1;
    }
    expect(right).toBeGreaterThanOrEqual(48);
  });
  it('tells when each landed, to about a sample', () => {
    const strikes = [1, 1.7, 2.1, 3];
    const found = heard(bagMotion(strikes, { seconds: 4, hertz: 100 }, seededRandom(2)));
    expect(found).toHaveLength(4);
    found.forEach(({ at }, i) => expect(Math.abs(at - strikes[i]!)).toBeLessThan(0.03));
  });
  it('counts nothing while the bag swings, or lies still', () => {
    expect(heard(bagMotion([], { seconds: 20, hertz: 60 }, seededRandom(3)))).toEqual([]);
  });
  it('survives a clock that jumps back, a pause, and what is no number', () => {
    const detector = new MotionDetector();
    const rest = { x: 0, y: 0, z: 9.8 };
    expect(
      [
        { at: 1, ...rest },
        { at: 0.5, x: 90, y: 0, z: 0 },
        { at: 1.02, x: Number.NaN, y: 0, z: 0 },
        { at: 9, x: 90, y: 0, z: 0 },
        { at: 9.02, ...rest },
      ].map((sample) => detector.push(sample)),
    ).toEqual([null, null, null, null, null]);
  });
});
