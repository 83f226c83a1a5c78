import { matchStrikes } from '../strikes/index.ts';
import { comboTime, reactions } from './index.ts';

describe('comboTime', () => {
  const due = [0, 0.5, 1, 2].map((at) => ({ at }));
  const timed = (at: readonly number[], least?: (from: number, to: number) => number | null) => {
    const onsets = at.map((each) => ({ at: each }));
    return comboTime(due, onsets, matchStrikes(due, onsets, 0).hits, least);
  };
  it('goes from the first impact to the last, with each gap against the line', () => {
    const time = timed([0.02, 0.55, 1.0, 2.1])!;
    expect(time.seconds).toBeCloseTo(2.08, 9);
    expect(time.gaps.map(({ seconds }) => Number(seconds.toFixed(2)))).toEqual([0.53, 0.45, 1.1]);
    expect(time.gaps.map(({ line }) => line)).toEqual([0.5, 0.5, 1]);
    expect([time.costliest, time.isWhole]).toEqual([2, true]);
  });
  it('finds the gap that costs most against the limb clock, where it is asked', () => {
    expect(timed([0.02, 0.55, 1.0, 2.1], (from) => (from === 0 ? 0.1 : 2))!.costliest).toBe(0);
    expect(timed([0, 0.5, 1, 2])!.costliest).toBeNull();
  });
  it('joins what lies about a miss, and says so', () => {
    const time = timed([0, 1, 2])!;
    expect(time.gaps.map(({ from, to }) => [from, to])).toEqual([
      [0, 2],
      [2, 3],
    ]);
    expect(time.isWhole).toBe(false);
  });
  it('is nothing where one strike landed', () => expect(timed([0])).toBeNull());
});

describe('reactions', () => {
  it('go from the call to the first impact; guesses are set aside and counted', () => {
    const reported = reactions([1, 4, 7, 10], [1.35, 1.6, 3.9, 7.42, 13]);
    expect(reported.times.map((time) => time && Number(time.toFixed(2)))).toEqual([0.35, null, 0.42, null]);
    expect([reported.anticipated, reported.unanswered]).toEqual([[1], [3]]);
    expect(reported.summary).toMatchObject({ trials: 2 });
    expect(reported.summary!.best).toBeCloseTo(0.35, 9);
  });
  it('the end of one answer is no guess at the next call', () => {
    expect(reactions([1, 2.5], [1.4, 2.3, 2.9]).anticipated).toEqual([]);
  });
  it('are none without impacts', () => {
    expect(reactions([1], [])).toEqual({ times: [null], anticipated: [], unanswered: [0], summary: null });
  });
});
