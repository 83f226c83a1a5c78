import { normalDraw, seedFromText, seededRandom } from './index.ts';

describe('seededRandom', () => {
  it('draws the same numbers for the same seed, and others for another', () => {
    const [a, b, c] = [seededRandom(7), seededRandom(7), seededRandom(8)];
    const draws = Array.from({ length: 5 }, () => a());
    expect(draws).toEqual(Array.from({ length: 5 }, () => b()));
    expect(draws).not.toEqual(Array.from({ length: 5 }, () => c()));
  });

  it('spreads evenly over [0, 1)', () => {
    const random = seededRandom(seedFromText('tide'));
    const tenths = new Array<number>(10).fill(0);
    for (let i = 0; i < 10_000; i++) {
      const x = random();
      expect(x >= 0 && x < 1).toBe(true);
      tenths[Math.floor(x * 10)]! += 1;
    }
    for (const count of tenths) expect(Math.abs(count - 1000)).toBeLessThan(150);
  });

  it('draws normal numbers with mean 0 and spread 1', () => {
    const random = seededRandom(3);
    const draws = Array.from({ length: 20_000 }, () => normalDraw(random));
    const mean = draws.reduce((s, x) => s + x, 0) / draws.length;
    const variance = draws.reduce((s, x) => s + (x - mean) ** 2, 0) / draws.length;
    expect(Math.abs(mean)).toBeLessThan(0.03);
    expect(Math.abs(variance - 1)).toBeLessThan(0.05);
  });
});
