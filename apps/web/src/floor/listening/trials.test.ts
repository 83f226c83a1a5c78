import { resultsOf, NO_TESTS, type RoundTests } from './strikeResults.ts';
import { due, listener, place, round, takeOf, workersOf } from './roundToHear.ts';
import { testToCount, trialsOf } from './trials.ts';

const all = due.map(({ at }) => at);
const bursts = [{ from: 10, seconds: 10, title: 'Two straights' }];
const calls = { at: [5, 9, 13], title: 'Answer to now' };
const resultOf = (at: readonly number[], tests: RoundTests = NO_TESTS, source = listener.source) =>
  resultsOf(takeOf(at, { listener: { ...listener, source } }), round, 40, workersOf, tests)[0]!;
const kept = (
  at: readonly number[],
  tests = NO_TESTS,
  counted: number | null = null,
  source = listener.source,
) => trialsOf(resultOf(at, tests, source), round, tests, place, counted);
const ofCombo = { kind: 'combo-time', title: 'Ebb 3', line: '1 2-3', lead: 'left', runId: 'run' };

describe('what is kept of a round', () => {
  it('is a trial of the combo, with all that it is evaluated from', () => {
    const [trial, ...more] = kept(all);
    expect(more).toEqual([]);
    expect(trial).toMatchObject({ ...ofCombo, measured: 'sensor', fighterId: 'ines' });
    expect(trial!.heard!.due).toHaveLength(due.length);
    expect(trial!.heard!.starts!.length).toBe(due.length / 3);
    expect(trial!.heard!.latency).toBeUndefined();
  });
  it('is nothing where nothing whole landed, and where it was only tried', () => {
    expect(kept([all[0]!])).toEqual([]);
    expect(kept(all, NO_TESTS, null, null)).toEqual([]);
  });
  it('is each burst of it from its own bell on, and the answers to its calls', () => {
    const [burst] = kept([10.5, 11, 12.25, 25], { ...NO_TESTS, bursts });
    expect(burst).toMatchObject({ kind: 'burst', instants: [0.5, 1, 2.25], seconds: 10, measured: 'sensor' });
    expect(kept([], { ...NO_TESTS, bursts })).toEqual([]);
    const [answers] = kept([5.4, 9.3], { ...NO_TESTS, calls });
    expect(answers).toMatchObject({ kind: 'reaction', title: 'Answer to now', instants: [5.4, 9.3] });
  });
});

describe('what somebody counted by hand', () => {
  it('stands for all that was heard of that fighter', () => {
    const [trial, ...more] = kept(all, { ...NO_TESTS, bursts }, 7);
    expect(more).toEqual([]);
    expect(trial).toMatchObject({ ...ofCombo, said: 7, instants: [], measured: 'by-hand' });
    expect(trial!.heard).toBeUndefined();
  });
  it('is kept where nothing whole landed, too', () => {
    expect(kept([], NO_TESTS, 7)).toMatchObject([
      { ...ofCombo, fighterId: 'ines', said: 7, measured: 'by-hand' },
    ]);
  });
  it('is of the combo, else of the burst, else of the calls; and of nothing where there was nothing to count', () => {
    const result = resultOf([]);
    const free = { landed: { ...result.landed, combos: [] } };
    expect(testToCount(result, round, { bursts, calls }, place)).toMatchObject({ kind: 'combo-time' });
    expect(testToCount(free, round, { bursts, calls }, place)).toMatchObject({ kind: 'burst', seconds: 10 });
    expect(testToCount(free, round, { bursts: [], calls }, place)).toMatchObject({ kind: 'reaction' });
    expect(testToCount(free, round, NO_TESTS, place)).toBeNull();
  });
});
