import { ofNewestTempo, usualGaps } from './usualGaps.ts';

const time = (...gaps: readonly (readonly [number, number, number])[]) => ({
  gaps: gaps.map(([from, to, seconds]) => ({ from, to, seconds, line: 0.5, least: null })),
});

describe('the usual gaps of a line', () => {
  it('are the medians over the times through, without those in which a strike was missed', () => {
    const { gaps, costliest } = usualGaps([
      time([0, 1, 0.5], [1, 2, 0.7]),
      time([0, 1, 0.4], [1, 2, 0.72]),
      time([0, 2, 1.3]),
      time([0, 1, 0.6], [1, 2, 0.6]),
    ]);
    expect(gaps.map(({ from, seconds, times }) => [from, seconds, times])).toEqual([
      [0, 0.5, 3],
      [1, 0.7, 3],
    ]);
    expect(costliest).toBe(1);
  });
  it('lose no time where the line asks for more than a body can', () => {
    const { gaps, costliest } = usualGaps([time([0, 1, 0.6], [1, 2, 0.8])], (from) =>
      from === 0 ? 0.2 : 0.85,
    );
    expect(gaps.map(({ least }) => least)).toEqual([0.2, 0.85]);
    expect(costliest).toBe(0);
  });
  it('of nothing, or of what is faster than its line, cost nothing', () => {
    expect(usualGaps([])).toEqual({ gaps: [], costliest: null });
    expect(usualGaps([time([0, 1, 0.3])]).costliest).toBeNull();
  });
});

describe('ofNewestTempo', () => {
  const heard = (gap: number) => ({
    ...{ source: 'file' as const, device: '', latency: 0, detector: null },
    ...{ due: [1, 1 + gap], onsets: [{ at: 1 }, { at: 1 + gap }] },
  });
  it('takes the trials of the tempo that was done last', () => {
    const trials = [0.5, 0.7, 0.505].map((gap) => ({ heard: heard(gap) }));
    expect(ofNewestTempo([...trials, { heard: null }])).toEqual([trials[0], trials[2]]);
    expect(ofNewestTempo([])).toEqual([]);
  });
});
