import type { DueInRound } from '../strikes/index.ts';
import { landedRound } from './landedRound.ts';
import { evaluateTrial } from './evaluateTrial.ts';

const strike = (at: number, cycle: number, stroke: number, combo = 'c'): DueInRound => ({
  at,
  cycle,
  stroke,
  combo,
  block: 'b',
  limb: 'left-hand',
  lead: 'left',
});
const due = [0, 1, 2, 3, 4].flatMap((n) => [
  strike(3 * n + 1, n, 0),
  strike(3 * n + 1.5, n, 2),
  strike(3 * n + 2.25, n, 3),
]);

describe('a round that was heard', () => {
  it('tells of each stroke how often it landed and how late it usually was', () => {
    const heard = due
      .filter((_, i) => i !== 4)
      .map(({ at, stroke }) => ({ at: at + (stroke === 3 ? 0.04 : 0) }));
    const { match, combos } = landedRound(due, heard);
    expect(match.misses).toEqual([4]);
    const [c] = combos;
    expect(c!.starts).toEqual([0, 3, 6, 9, 12]);
    expect(c!.strokes.map(({ stroke, hits, misses }) => [stroke, hits, misses])).toEqual([
      [0, 5, 0],
      [2, 4, 1],
      [3, 5, 0],
    ]);
    expect(c!.strokes[2]!.off).toBeCloseTo(0.04, 3);
    expect(c!.strokes[0]!.off).toBeCloseTo(0, 3);
    const { value } = evaluateTrial(
      { kind: 'combo-time', seconds: 10 },
      {
        source: 'microphone',
        device: '',
        detector: null,
        onsets: c!.onsets,
        due: c!.due,
        starts: c!.starts,
      },
    );
    expect(value).toBeCloseTo(1.29, 3);
  });
  it('keeps combos apart, and puts doubtful sounds together with nothing', () => {
    const two = [strike(1, 0, 0, 'a'), strike(2, 0, 1, 'a'), strike(5, 1, 0, 'b'), strike(6, 1, 1, 'b')];
    const { match, combos } = landedRound(two, [{ at: 1 }, { at: 2, doubtful: true }, { at: 5 }, { at: 6 }]);
    expect(match.misses).toEqual([1]);
    expect(combos.map(({ combo, onsets }) => [combo, onsets.length])).toEqual([
      ['a', 2],
      ['b', 2],
    ]);
  });
  it('of which nothing was heard is all misses', () => {
    expect(landedRound(due, []).match.misses).toHaveLength(due.length);
  });
});
