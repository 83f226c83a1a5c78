import type { GradeCheckView } from '@eurhythm/contract';
import { nextMark, sheetOf, sheetResult } from './sheetLines.ts';

describe('a sheet', () => {
  it('begins with what the log shows, and nothing marked', () => {
    const check = {
      lines: [
        { asked: 'Ebb 1', evidence: [{ text: 'clean', day: '2026-03-05' }], missing: 'Once more.' },
        { asked: 'Greets', evidence: [], missing: '' },
      ],
    } as unknown as GradeCheckView;
    expect(sheetOf(check)).toEqual([
      { asked: 'Ebb 1', evidence: 'clean (2026-03-05); Once more.', first: null, second: null },
      { asked: 'Greets', evidence: '', first: null, second: null },
    ]);
  });

  it('goes round with each press', () => {
    expect([nextMark(null), nextMark('passed'), nextMark('not yet')]).toEqual(['passed', 'not yet', null]);
  });

  it('is passed by a line where nobody who marked it says otherwise', () => {
    const line = (first: 'passed' | 'not yet' | null, second: 'passed' | 'not yet' | null) => ({
      ...{ asked: '', evidence: '', first, second },
    });
    const lines = [
      line('passed', 'passed'),
      line('passed', null),
      line('passed', 'not yet'),
      line(null, null),
    ];
    expect(sheetResult(lines)).toEqual({ passed: 2, open: 1 });
  });
});
