import fc from 'fast-check';
import { HOME_LIMITS, homeCode, readCodeOf, readHomeCode, type DoneAtHome } from './homeCode.ts';

const HOUR = 3_600_000;
const done: DoneAtHome = {
  fighterId: 'ines',
  sessionId: 'monday',
  at: Date.UTC(2026, 10, 27, 17, 40),
  finished: 5,
  rounds: 6,
  effort: 7,
  bursts: [{ lead: 'right', count: 41 }],
};

const anyDone: fc.Arbitrary<DoneAtHome> = fc
  .record({
    fighterId: fc.string({ minLength: 1 }),
    sessionId: fc.string({ minLength: 1 }),
    at: fc.integer({ min: Date.UTC(2020, 0, 1), max: Date.UTC(2060, 0, 1) }),
    rounds: fc.integer({ min: 0, max: HOME_LIMITS.rounds }),
    missed: fc.nat({ max: 5 }),
    effort: fc.option(fc.integer({ min: 1, max: 10 })),
    bursts: fc.array(
      fc.record({ lead: fc.constantFrom('left', 'right'), count: fc.nat({ max: HOME_LIMITS.count }) }),
      { maxLength: HOME_LIMITS.bursts },
    ),
  })
  .map(({ missed, ...rest }) => ({ ...rest, finished: Math.max(0, rest.rounds - missed) }));

const report = (code: string) => {
  const read = readHomeCode(code);
  if (!read.ok) throw new Error(read.message);
  return read.report;
};

describe('the code from home', () => {
  it('tells what was done, to the hour', () => {
    const { code, isOf, ...rest } = report(homeCode(done));
    expect(rest).toEqual({
      at: Date.UTC(2026, 10, 27, 17),
      finished: 5,
      rounds: 6,
      effort: 7,
      bursts: [{ lead: 'right', count: 41 }],
    });
    expect(code).toBe(homeCode(done));
    expect(isOf('fighter', 'ines')).toBe(true);
    expect(isOf('fighter', 'radek')).toBe(false);
    expect(isOf('session', 'monday')).toBe(true);
  });
  it('is of one fighter', () => {
    const code = homeCode(done);
    expect(readCodeOf({ id: 'ines', name: 'Ines' }, code)).toMatchObject({
      ok: true,
      report: { finished: 5 },
    });
    expect(readCodeOf({ id: 'radek', name: 'Radek' }, code)).toEqual({
      ok: false,
      message: 'This code is not Radek’s: it was made for somebody else.',
    });
  });
  it('is short enough to be typed', () => {
    expect(homeCode(done).replace(/-/g, '').length).toBeLessThanOrEqual(17);
  });
  it('is read as it was written, whatever was done', () => {
    fc.assert(
      fc.property(anyDone, (any) => {
        const read = report(homeCode(any));
        expect(read).toMatchObject({
          finished: any.finished,
          rounds: any.rounds,
          effort: any.effort,
          bursts: any.bursts,
        });
        expect(any.at - read.at).toBeGreaterThanOrEqual(0);
        expect(any.at - read.at).toBeLessThan(HOUR);
        expect(read.isOf('fighter', any.fighterId) && read.isOf('session', any.sessionId)).toBe(true);
      }),
    );
  });
  it('is read however it is typed', () => {
    const code = homeCode(done);
    const sloppy = code.toLowerCase().replaceAll('-', ' ').replaceAll('0', 'o').replaceAll('1', 'l');
    expect(report(sloppy).code).toBe(code);
  });
  it('is refused with a wrong, a missing or a moved letter', () => {
    const code = homeCode(done).replaceAll('-', '');
    let taken = 0;
    let tried = 0;
    for (let i = 0; i < code.length; i++)
      for (const other of 'ABC123XYZ') {
        if (code[i] === other) continue;
        tried += 1;
        if (readHomeCode(code.slice(0, i) + other + code.slice(i + 1)).ok) taken += 1;
      }
    expect(taken / tried).toBeLessThan(0.02);
    expect(readHomeCode(code.slice(1)).ok).toBe(false);
    expect(readHomeCode(`${code}A`).ok).toBe(false);
    expect(readHomeCode('').ok).toBe(false);
    expect(readHomeCode('what is this?').ok).toBe(false);
  });
  it('never says that more was finished than there was', () => {
    expect(report(homeCode({ ...done, finished: 9, rounds: 6 }))).toMatchObject({ finished: 6, rounds: 6 });
    expect(report(homeCode({ ...done, finished: 80, rounds: 90 }))).toMatchObject({
      finished: 63,
      rounds: 63,
    });
  });
});
