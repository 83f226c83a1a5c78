import fc from 'fast-check';
import { tally, tallyText, type AttendedClass } from './tally.ts';

const count = fc.nat({ max: 9 });
const someClass = fc.record({
  runId: fc.uuid(),
  day: fc.integer({ min: 10, max: 28 }).map((n) => `2026-03-${n}`),
  ...{ finished: count, part: count, satOut: count },
});

describe('tally', () => {
  it('adds up what lies before, within and after some days to what there is in all', () => {
    fc.assert(
      fc.property(fc.array(someClass), (classes: AttendedClass[]) => {
        const parts = [
          { to: '2026-03-14' },
          { from: '2026-03-15', to: '2026-03-20' },
          { from: '2026-03-21' },
        ];
        const all = tally(classes);
        for (const what of ['classes', 'finished', 'part', 'satOut', 'rounds'] as const)
          expect(parts.reduce((sum, part) => sum + tally(classes, part)[what], 0)).toBe(all[what]);
        expect(all.rounds).toBe(all.finished + all.part + all.satOut);
      }),
    );
  });
  it('counts no class of which nothing was done, and takes first and last from those of which something was', () => {
    const at = (day: string, finished: number, satOut = 0) => ({
      runId: day,
      day,
      finished,
      part: 0,
      satOut,
    });
    expect(tally([at('2026-03-01', 0, 3), at('2026-03-03', 2), at('2026-03-02', 1)])).toEqual({
      ...{ classes: 2, finished: 3, part: 0, satOut: 3, rounds: 6, first: '2026-03-02', last: '2026-03-03' },
    });
    expect(tally([])).toMatchObject({ classes: 0, first: null, last: null });
  });
  it('is said in the singular where there is one', () => {
    const one = { runId: 'a', day: '2026-03-05', finished: 1, part: 0, satOut: 0 };
    expect(tallyText(tally([one]))).toBe('1 class, 1 of 1 round finished.');
    expect(tallyText(tally([one, { ...one, finished: 0, part: 1, satOut: 1 }]))).toBe(
      '2 classes, 1 of 3 rounds finished, 1 in part, 1 sat out.',
    );
  });
});
