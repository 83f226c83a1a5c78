import { simulateRound } from '../simulation/index.ts';
import { seededRandom } from '../units/index.ts';
import type { HeardTrial } from './heardTrial.ts';
import { matchOfTrial, timesThrough, evaluateTrial } from './evaluateTrial.ts';

const trial = (more: Partial<HeardTrial>): HeardTrial => ({
  source: 'microphone',
  device: 'Built-in',
  detector: 'strikes 1',
  onsets: [],
  due: null,
  ...more,
});
const line = [0, 0.5, 1, 1.75];
const due = Array.from({ length: 8 }, (_, n) => line.map((at) => at + 4 * n)).flat();
const starts = due.flatMap((_, i) => (i % 4 === 0 ? [i] : []));

describe('a trial that was heard', () => {
  it('of before is evaluated without the latency that stands in it, and without what is doubtful', () => {
    const onsets = [{ at: 2.02 }, { at: 1.02 }, { at: 3, doubtful: true }];
    expect(evaluateTrial({ kind: 'burst', seconds: 10 }, trial({ onsets, latency: 0.02 }))).toMatchObject({
      instants: [1, 2],
      value: null,
    });
  });
  it('of a combo is the median of its whole times through', () => {
    const late = simulateRound(due, { bias: 0, spread: 0, fading: 0, misses: 0, extras: 0 }, seededRandom(1));
    // The last strike of one time through comes early, one of another is missed.
    const onsets = late.map((at) => ({ at })).filter((_, i) => i !== 9);
    onsets[3] = { at: onsets[3]!.at - 0.05 };
    const heard = trial({ onsets, due, starts });
    const { value, times } = evaluateTrial({ kind: 'combo-time', seconds: 10 }, heard);
    expect(times).toHaveLength(7);
    expect(value).toBeCloseTo(1.75, 3);
    expect(times[0]).toBeCloseTo(1.7, 3);
    expect(timesThrough(heard)[2]!.isWhole).toBe(false);
    expect(matchOfTrial(heard).misses).toEqual([9]);
  });
  it('is completed by nothing doubtful: a miss, and no whole time', () => {
    const heard = trial({
      onsets: [{ at: 1 }, { at: 1.5, doubtful: true }, { at: 2 }],
      due: [1, 1.5, 2],
    });
    expect(evaluateTrial({ kind: 'combo-time', seconds: 10 }, heard)).toEqual({
      instants: [1, 2],
      times: [],
      value: null,
    });
    expect(matchOfTrial(heard).misses).toEqual([1]);
    expect(timesThrough(heard).map(({ isWhole }) => isWhole)).toEqual([false]);
  });
  it('of a reaction is the median of its answers; guesses and silence are none', () => {
    const onsets = [{ at: 1.3 }, { at: 4.05 }, { at: 7.4 }];
    expect(
      evaluateTrial({ kind: 'reaction', seconds: 10 }, trial({ onsets, due: [1, 4, 7, 10] })),
    ).toMatchObject({
      value: 0.35,
      times: [0.3, 0.4],
    });
  });
  it('of which nothing was heard says nothing', () => {
    expect(evaluateTrial({ kind: 'combo-time', seconds: 10 }, trial({ due, starts })).value).toBeNull();
    expect(evaluateTrial({ kind: 'reaction', seconds: 10 }, trial({ due: [1] })).value).toBeNull();
    expect(
      evaluateTrial({ kind: 'combo-time', seconds: 10 }, trial({ onsets: [{ at: 1 }] })).value,
    ).toBeNull();
  });
});
