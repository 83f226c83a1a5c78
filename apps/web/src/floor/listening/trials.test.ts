import { landedOf, type Landed } from './landed.ts';
import { due, listener, place, round, takeOf, workersOf } from './roundToHear.ts';
import {
  burstTrials,
  comboTrials,
  reactionTrials,
  testToCount,
  trialsOfTake,
  type RoundTests,
} from './trials.ts';

describe('what is kept of a combo round', () => {
  it('becomes a trial of the combo, with all that it is worked out from', () => {
    const [landed] = landedOf(takeOf(due.map(({ at }) => at)), round, 40, workersOf);
    const [trial, ...more] = comboTrials(landed!, round, place);
    expect(more).toEqual([]);
    expect(trial).toMatchObject({
      kind: 'combo-time',
      title: 'Ebb 3',
      line: '1 2-3',
      measured: 'sensor',
      fighterId: 'ines',
    });
    expect(trial!.heard!.due).toHaveLength(due.length);
    expect(trial!.heard!.starts!.length).toBe(due.length / 3);
  });
  it('is kept of nobody where nothing whole landed, and where it was only tried', () => {
    const [first] = landedOf(takeOf([due[0]!.at]), round, 40, workersOf);
    expect(comboTrials(first!, round, place)).toEqual([]);
    const tried = takeOf(
      due.map(({ at }) => at),
      { listener: { ...listener, source: null } },
    );
    expect(comboTrials(landedOf(tried, round, 40, workersOf)[0]!, round, place)).toEqual([]);
  });
});

describe('other tests of a round', () => {
  const workers = workersOf(['ines']);
  it('are bursts, from their own bell on', () => {
    const take = takeOf([10.5, 11, 12.25, 25]);
    const [trial] = burstTrials(
      take,
      round,
      [{ from: 10, seconds: 10, title: 'Two straights' }],
      workers,
      place,
    );
    expect(trial).toMatchObject({ kind: 'burst', instants: [0.5, 1, 2.25], seconds: 10, measured: 'sensor' });
    expect(
      burstTrials(takeOf([], {}), round, [{ from: 10, seconds: 10, title: 'x' }], workers, place),
    ).toEqual([]);
  });
  it('are answers to calls', () => {
    const take = takeOf([5.4, 9.3]);
    const [trial] = reactionTrials(take, round, [5, 9, 13], workers, { ...place, title: 'Answer to now' });
    expect(trial).toMatchObject({ kind: 'reaction', title: 'Answer to now', instants: [5.4, 9.3] });
    expect(reactionTrials(takeOf([]), round, [5], workers, { ...place, title: 'x' })).toEqual([]);
  });
});

describe('what somebody counted by hand', () => {
  const none: RoundTests = { bursts: [], calls: { at: [], title: '' } };
  const bursts = [{ from: 10, seconds: 10, title: 'Two straights' }];
  const workers = workersOf(['ines']);
  const counted = (heard: readonly number[], tests = none) => {
    const take = takeOf(heard);
    const landed = landedOf(take, round, 40, workersOf);
    return trialsOfTake(take, landed, round, tests, workers, place, new Map([['ines', 7]]));
  };
  const ofCombo = { kind: 'combo-time', title: 'Ebb 3', line: '1 2-3', lead: 'left', runId: 'run' };

  it('stands for all that was heard of that fighter', () => {
    const [trial, ...more] = counted(
      due.map(({ at }) => at),
      { ...none, bursts },
    );
    expect(more).toEqual([]);
    expect(trial).toMatchObject({ ...ofCombo, said: 7, instants: [], measured: 'by-hand' });
    expect(trial!.heard).toBeUndefined();
  });
  it('is kept where nothing whole landed, too', () => {
    expect(counted([])).toMatchObject([{ ...ofCombo, fighterId: 'ines', said: 7, measured: 'by-hand' }]);
  });
  it('is of the combo, else of the burst, else of the calls; and of nothing where there was nothing to count', () => {
    const [landed] = landedOf(takeOf([]), round, 40, workersOf);
    const free = { heard: { ...landed!.heard, combos: [] } } satisfies Pick<Landed, 'heard'>;
    const calls = { at: [5], title: 'Answer to now' };
    expect(testToCount(landed!, round, { bursts, calls }, place)).toMatchObject({ kind: 'combo-time' });
    expect(testToCount(free, round, { bursts, calls }, place)).toMatchObject({ kind: 'burst', seconds: 10 });
    expect(testToCount(free, round, { bursts: [], calls }, place)).toMatchObject({ kind: 'reaction' });
    expect(testToCount(free, round, none, place)).toBeNull();
  });
});
