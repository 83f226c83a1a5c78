import { ENGLISH_COUNT, usualBlock } from '@eurhythm/core/rounds';
import { starterBook } from '@eurhythm/core/moves';
import { compileToPlay, type RoundToPlay } from '@eurhythm/core/run';
import { dueStrikes } from '@eurhythm/core/strikes';
import { burstTrials, comboTrials, landedOf, reactionTrials } from './landed.ts';
import type { Listener, Take } from './Listening.ts';

const book = starterBook();
const combo = { id: 'c', grade: 'Ebb', number: 3, title: '', line: '1 2-3', beatsPerBar: 4 };
const blocks = [
  {
    ...usualBlock('combo', 'work'),
    seconds: 40,
    combos: [combo],
    bpm: 90,
    leadPlan: 'as-set',
    cyclesEach: 3,
  },
];
const setting = { owner: 'o', lead: 'left', word: '', count: ENGLISH_COUNT, clips: [] } as const;
const round: RoundToPlay = compileToPlay({ id: 'r', blocks: blocks as never }, setting, book);
const due = dueStrikes(round);
const listener: Listener = {
  id: 'here',
  name: 'this device',
  fighterIds: ['ines'],
  source: 'sensor',
  device: 'pad-1',
  latency: 0.02,
  detector: null,
  leastStrength: null,
  told: '',
};
const takeOf = (at: readonly number[], more: Partial<Take> = {}): Take => ({
  listener,
  round: 0,
  onsets: at.map((each) => ({ at: each + 0.02 })),
  from: 0,
  isDropped: false,
  time: 0,
  ...more,
});
const workersOf = (fighterIds: readonly string[]) => ({
  fighterIds,
  dueOf: () => due,
  workerAt: () => 'ines',
});
const place = { lead: 'left', runId: 'run', at: '2026-03-05T18:30:00Z' } as const;

describe('what landed in a round', () => {
  it('is what was due against what was heard, without the latency of the device', () => {
    const [landed] = landedOf(takeOf(due.map(({ at }) => at + 0.03)), round, 40, workersOf);
    expect(landed!.heard.match.misses).toEqual([]);
    expect(landed!.heard.match.bias).toBeCloseTo(0.03, 3);
  });
  it('counts nothing as missed from before it listened, and nothing that has not come yet', () => {
    const [late] = landedOf(takeOf([], { from: 20 }), round, 30, workersOf);
    const inTime = due.filter(({ at }) => at >= 20 && at <= 30).length;
    expect([late!.heard.match.misses.length, late!.due.length]).toEqual([inTime, inTime]);
  });
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
  it('tells the device’s own ticks from strikes on them, by a microphone', () => {
    const heard: Listener = { ...listener, source: 'microphone', latency: 0 };
    const ticks = round.cues
      .filter(({ sound }) => sound !== undefined)
      .map(({ at }) => ({ at, strength: -40 }));
    const strikes = due.map(({ at }) => ({ at: at + 0.01, strength: -18 }));
    const onsets = [
      ...ticks.filter(({ at }) => !strikes.some((each) => Math.abs(each.at - at) < 0.05)),
      ...strikes,
    ].sort((a, b) => a.at - b.at);
    const [landed] = landedOf(takeOf([], { listener: heard, onsets }), round, 40, workersOf);
    expect(landed!.heard.match).toMatchObject({ misses: [], extras: [] });
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
