import fc from 'fast-check';
import { isHereNow, isPresent, marksAt, runState, type RunEvent } from './index.ts';

const move = (kind: 'comes' | 'leaves', round: number, fighterId = 'ines'): RunEvent => ({
  kind,
  at: 0,
  round,
  fighterId,
});
const bells = (rounds: number): RunEvent[] =>
  Array.from({ length: rounds }, (_, round) => ({ kind: 'bell' as const, at: 0, round }));
const thereIn = (...events: RunEvent[]): number[] =>
  [0, 1, 2, 3, 4, 5].filter((round) => isPresent(runState(events).presence, 'ines', round));

describe('who is there in a round', () => {
  it.each([
    ['never moved', [], [0, 1, 2, 3, 4, 5]],
    ['left in the third round', [move('leaves', 2)], [0, 1]],
    ['came in the third round', [move('comes', 2)], [2, 3, 4, 5]],
    ['left in the third and came back in the fifth', [move('leaves', 2), move('comes', 4)], [0, 1, 4, 5]],
    ['went out for a drink within a round', [move('leaves', 2), move('comes', 2)], [0, 1, 2, 3, 4, 5]],
    ['came for one round', [move('comes', 3), move('leaves', 4)], [3]],
    ['came and left within a round', [move('comes', 3), move('leaves', 3)], []],
    ['was pressed twice', [move('leaves', 2), move('leaves', 4)], [0, 1]],
    ['left twice', [move('leaves', 1), move('comes', 2), move('leaves', 3), move('comes', 5)], [0, 2, 5]],
  ])('%s', (_, events, rounds) => expect(thereIn(...events)).toEqual(rounds));

  it('is reported about each by himself, and of now', () => {
    const { presence } = runState([move('leaves', 1), move('comes', 2, 'lumi')]);
    expect(['ines', 'lumi', 'oskar'].map((id) => isHereNow(presence, id))).toEqual([false, true, true]);
    expect(['ines', 'lumi', 'oskar'].map((id) => isPresent(presence, id, 1))).toEqual([false, false, true]);
  });

  it('does not change behind somebody when he moves again later', () => {
    const moves = fc.array(fc.tuple(fc.constantFrom('comes' as const, 'leaves' as const), fc.nat(3)), {
      maxLength: 8,
    });
    fc.assert(
      fc.property(moves, (steps) => {
        let round = 0;
        const events = steps.map(([kind, on]) => move(kind, (round += on)));
        const before = runState(events).presence;
        const after = runState([...events, move('leaves', round + 1), move('comes', round + 3)]).presence;
        // Who has only ever been away before is not there by leaving.
        if (steps.length === 0) return;
        for (let past = 0; past <= round; past++)
          expect(isPresent(after, 'ines', past)).toBe(isPresent(before, 'ines', past));
      }),
    );
  });
});

describe('the marks of a run', () => {
  it('are what was pressed, and finished for whoever was there when the bell rang', () => {
    const state = runState([...bells(3), move('leaves', 1), move('comes', 2)]);
    const presses = [{ round: 1, fighterId: 'oskar', done: 'part' as const, quality: null }];
    const reported = marksAt(state, ['ines', 'oskar'], presses).map(
      (mark) => `${mark.round} ${mark.fighterId} ${mark.done}`,
    );
    expect(reported).toEqual([
      '0 ines finished',
      '0 oskar finished',
      '1 oskar part',
      '2 ines finished',
      '2 oskar finished',
    ]);
  });
  it('are the same in whatever order bell and leaving come to be known', () => {
    const events = [...bells(3), move('leaves', 1), { kind: 'all-clean' as const, at: 0, round: 0 }];
    const sorted = marksAt(runState(events), ['ines', 'oskar'], []);
    fc.assert(
      fc.property(fc.shuffledSubarray(events, { minLength: events.length }), (mixed) => {
        expect(marksAt(runState(mixed), ['ines', 'oskar'], [])).toEqual(sorted);
      }),
    );
  });
  it('are clean where all of a round were and nothing else was said', () => {
    const state = runState([{ kind: 'all-clean', at: 0, round: 0 }]);
    const presses = [
      { round: 0, fighterId: 'ines', done: 'finished' as const, quality: 'wild' as const },
      { round: 0, fighterId: 'oskar', done: 'part' as const, quality: null },
    ];
    const qualities = marksAt(state, ['ines', 'oskar', 'lumi'], presses).map(({ quality }) => quality);
    expect(qualities).toEqual(['wild', null, 'clean']);
  });
  it('hold no bell for who was away, also when a press of his is taken back', () => {
    expect(marksAt(runState([...bells(1), move('leaves', 0)]), ['ines'], [])).toEqual([]);
  });
});
