import fc from 'fast-check';
import {
  UNTOUCHED_RUN,
  afterEvent,
  keptRunEvent,
  missingFields,
  placeInRun,
  readRunEvent,
  runState,
  tempoBy,
  type RunEvent,
} from './index.ts';

const DURATIONS = [160, 220, 100];
const place = fc.record({
  round: fc.nat(DURATIONS.length - 1),
  position: fc.double({ min: 0, max: 99, noNaN: true }),
});
const at = fc.integer({ min: 0, max: 3_600_000 });
const event: fc.Arbitrary<RunEvent> = fc.oneof(
  fc
    .tuple(fc.constantFrom('start' as const, 'hold' as const, 'go-on' as const), at, place)
    .map(([kind, when, where]) => ({ kind, at: when, ...where })),
  fc
    .tuple(fc.constantFrom('skip' as const, 'again' as const), at, fc.nat(2), fc.boolean())
    .map(([kind, when, round, running]) => ({ kind, at: when, round, running })),
  fc
    .tuple(at, place, fc.integer({ min: -20, max: 20 }))
    .map(([when, where, by]) => ({ kind: 'tempo' as const, at: when, ...where, by })),
);

describe('a run', () => {
  it('begins at the beginning', () => {
    expect(placeInRun(UNTOUCHED_RUN, DURATIONS, 0)).toEqual({
      over: false,
      round: 0,
      position: 0,
      running: false,
    });
  });
  it('waits where it is held', () => {
    const state = runState([{ kind: 'hold', at: 0, round: 1, position: 30.5 }]);
    const where = { over: false, round: 1, position: 30.5, running: false };
    expect(placeInRun(state, DURATIONS, 500_000)).toEqual(where);
  });
  it('goes on to the right second, over the ends of rounds', () => {
    const state = runState([{ kind: 'start', at: 0, round: 0, position: 100 }]);
    expect(placeInRun(state, DURATIONS, 12_250)).toMatchObject({ round: 0, position: 112.25, running: true });
    expect(placeInRun(state, DURATIONS, 60_000)).toMatchObject({ round: 1, position: 0 });
    expect(placeInRun(state, DURATIONS, 290_000)).toMatchObject({ round: 2, position: 10 });
    expect(placeInRun(state, DURATIONS, 400_000)).toEqual({ over: true });
  });
  it('does not go back when the clock of the machine was set back', () => {
    const state = runState([{ kind: 'go-on', at: 0, round: 0, position: 100 }]);
    expect(placeInRun(state, DURATIONS, -3_600_000)).toMatchObject({ position: 100 });
  });
  it('is over behind its last round, and at its end whatever comes later', () => {
    const skipped = runState([{ kind: 'skip', at: 0, round: 3, running: false }]);
    expect(placeInRun(skipped, DURATIONS, 0)).toEqual({ over: true });
    const again = afterEvent(skipped, { kind: 'again', at: 0, round: 2, running: false });
    expect(placeInRun(again, DURATIONS, 0)).toMatchObject({ over: false, round: 2, position: 0 });
    const ended = runState([{ kind: 'end', at: 0 }]);
    expect(afterEvent(ended, { kind: 'start', at: 1, round: 0, position: 0 })).toBe(ended);
  });
  it('keeps each change of tempo until its round begins anew', () => {
    const change = { kind: 'tempo', at: 0, round: 1, position: 8, by: 4 } as const;
    const changed = runState([change, { ...change, by: -1 }]);
    expect(tempoBy(changed.shifts.get(1))).toBe(3);
    expect(tempoBy(changed.shifts.get(0))).toBe(0);
    const anew = afterEvent(changed, { kind: 'again', at: 0, round: 1, running: true });
    expect(tempoBy(anew.shifts.get(1))).toBe(0);
  });
  it('keeps the tempo that was advised before a round, also when the round begins anew', () => {
    const advised = { kind: 'tempo', at: 0, round: 1, position: 0, by: 6 } as const;
    const changed = runState([advised, { ...advised, position: 20, by: -2 }]);
    for (const kind of ['again', 'skip'] as const)
      expect(afterEvent(changed, { kind, at: 9, round: 1, running: false }).shifts).toEqual(
        new Map([[1, [{ from: 0, by: 6 }]]]),
      );
    const none = afterEvent(runState([]), { kind: 'again', at: 9, round: 1, running: false });
    expect(none.shifts.size).toBe(0);
  });
  it('remembers that everybody was clean, in whatever order that and the bell arrive', () => {
    const bell = { kind: 'bell', at: 0, round: 2 } as const;
    const clean = { kind: 'all-clean', at: 0, round: 2 } as const;
    const isClean = (...events: RunEvent[]) => runState(events).endedRounds.get(2)?.isClean;
    expect([isClean(bell), isClean(bell, clean), isClean(clean, bell)]).toEqual([false, true, true]);
    expect(runState([bell]).endedRounds.has(1)).toBe(false);
  });
  it('is the same however its log is cut, kept and read again', () => {
    fc.assert(
      fc.property(fc.array(event, { maxLength: 12 }), fc.nat(12), (events, cut) => {
        const whole = runState(events);
        const parts = events.slice(cut).reduce(afterEvent, runState(events.slice(0, cut)));
        expect(parts).toEqual(whole);
        const kept = events.map((each) => JSON.parse(JSON.stringify(keptRunEvent(each))));
        expect(runState(kept.flatMap((each) => readRunEvent(each) ?? []))).toEqual(whole);
        for (const each of kept) expect(missingFields(each)).toEqual([]);
      }),
    );
  });
  it('lies inside a round or is over, and never goes back while time goes on', () => {
    fc.assert(
      fc.property(fc.array(event, { minLength: 1, maxLength: 8 }), at, at, (events, now, passed) => {
        const state = runState(events);
        const done = (when: number): number => {
          const where = placeInRun(state, DURATIONS, when);
          if (where.over) return DURATIONS.reduce((sum, seconds) => sum + seconds, 0);
          expect(where.position).toBeGreaterThanOrEqual(0);
          expect(where.position).toBeLessThan(DURATIONS[where.round]!);
          return DURATIONS.slice(0, where.round).reduce((sum, seconds) => sum + seconds, where.position);
        };
        expect(done(now + passed)).toBeGreaterThanOrEqual(done(now) - 1e-6);
      }),
    );
  });
  it.each([
    [{ kind: 'start', at: 'x', position: 1 }, ['round']],
    [{ kind: 'tempo', at: 'x', round: 1 }, ['position', 'by']],
    [{ kind: 'end', at: 'x' }, []],
    [{ kind: 'mark', at: 'x' }, []],
  ])('tells what %j lacks', (kept, fields) => expect(missingFields(kept)).toEqual(fields));
  it('is not moved by a mark', () => {
    expect(readRunEvent({ kind: 'mark', at: '2026-03-05T18:30:00Z', round: 1 })).toBeNull();
  });
});
