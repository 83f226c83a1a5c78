import { summariseBurst, summariseTrials } from './index.ts';

describe('summariseBurst', () => {
  it('counts inside the time only, and compares first and last third', () => {
    const burst = summariseBurst([-0.1, 0.5, 1, 2, 3, 5, 8, 9.5, 10.2], 9);
    expect(burst).toMatchObject({ count: 6, perSecond: 6 / 9, firstThird: 1, lastThird: 1 / 3 });
  });
  it('tells how uneven the gaps are, in whatever order they come', () => {
    expect(summariseBurst([4, 1, 2, 3], 10).unevenness).toBeCloseTo(0, 9);
    expect(summariseBurst([1, 2, 4, 5, 7], 10).unevenness).toBeCloseTo(1 / 3, 9);
  });
  it('is nothing without a strike', () => {
    expect(summariseBurst([], 10)).toEqual({
      count: 0,
      perSecond: 0,
      firstThird: 0,
      lastThird: 0,
      unevenness: null,
    });
  });
});

describe('summariseTrials', () => {
  it('tells best, median and number together', () => {
    expect(summariseTrials([40, 44, 38, 41], 'higher')).toEqual({ best: 44, median: 40.5, trials: 4 });
    expect(summariseTrials([2.9, 3.1, 3.0], 'lower')).toEqual({ best: 2.9, median: 3.0, trials: 3 });
    expect(summariseTrials([], 'higher')).toBeNull();
  });
});
