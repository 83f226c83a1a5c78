import { classDays, virtualTrials } from '../../simulation/index.ts';
import { seededRandom } from '../../units/index.ts';
import { shrunk, typicalError } from './typicalError.ts';

const pairs = (error: number, count: number, seed: number): number[][] =>
  virtualTrials(
    { level: 23, perFourWeeks: 2, error },
    classDays('2026-01-05', count, 3),
    2,
    seededRandom(seed),
  ).map(({ values }) => [...values]);

describe('typicalError', () => {
  it('pools the spread within days, whatever the days themselves do', () => {
    expect(typicalError([[20, 22], [40, 42], [7]])).toEqual({ error: Math.SQRT2, degreesOfFreedom: 2 });
  });

  it('is not known without a day of two trials', () => {
    expect(typicalError([[20], [22], []])).toBeNull();
    expect(typicalError([])).toBeNull();
  });

  it('is never less than what whole numbers hide', () => {
    expect(typicalError([[20, 20], [21, 21]])!.error).toBeCloseTo(Math.sqrt(1 / 12), 9); // prettier-ignore
    expect(typicalError([[1.25, 1.25]])!.error).toBeCloseTo(0.01 * Math.sqrt(1 / 12), 9);
  });

  it('is the true one over many fighters of twenty pairs, and mostly near it for each', () => {
    const found = Array.from({ length: 200 }, (_, seed) => typicalError(pairs(1.5, 20, seed))!.error);
    const mean = found.reduce((sum, error) => sum + error, 0) / found.length;
    expect(Math.abs(mean / 1.5 - 1)).toBeLessThan(0.05);
    expect(found.filter((error) => Math.abs(error / 1.5 - 1) < 0.3).length).toBeGreaterThan(180);
  });

  it('does not believe one odd day', () => {
    const honest = typicalError(pairs(1.5, 20, 1))!;
    expect(typicalError([...pairs(1.5, 20, 1), [23, 47]])).toEqual(honest);
  });
});

describe('shrunk', () => {
  it('draws thin data to the gym, and leaves much data alone', () => {
    const gym = { error: 1, degreesOfFreedom: 500 };
    expect(shrunk({ error: 3, degreesOfFreedom: 1 }, gym)!.error).toBeLessThan(1.5);
    expect(shrunk({ error: 3, degreesOfFreedom: 400 }, gym)!.error).toBeGreaterThan(2.9);
    expect(shrunk(null, gym)).toBe(gym);
    expect(shrunk(null, null)).toBeNull();
  });
});
