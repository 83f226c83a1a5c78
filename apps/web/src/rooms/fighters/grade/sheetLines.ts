import type { GradeCheckView, SheetLineDto } from '@eurhythm/contract';

/** How an examiner marks a line, in the order in which presses go on. */
const NEXT = new Map<SheetLineDto['first'], SheetLineDto['first']>([
  [null, 'passed'],
  ['passed', 'not yet'],
  ['not yet', null],
]);

/** What comes after a mark when it is pressed again. */
export const nextMark = (mark: SheetLineDto['first']): SheetLineDto['first'] => NEXT.get(mark) ?? null;

/** The sheet of a check list, with what the log shows and nothing marked. */
export function sheetOf({ lines }: GradeCheckView): SheetLineDto[] {
  return lines.map(({ asked, evidence, missing }) => ({
    asked,
    evidence: [
      ...evidence.map(({ text, day }) => (day ? `${text} (${day})` : text)),
      ...(missing === '' ? [] : [missing]),
    ]
      .join('; ')
      .slice(0, 1000),
    first: null,
    second: null,
  }));
}

/** What both examiners say of a sheet: a line is passed where nobody who marked it says otherwise and somebody marked it. */
export function sheetResult(lines: readonly SheetLineDto[]): {
  readonly passed: number;
  readonly open: number;
} {
  const passed = lines.filter(
    ({ first, second }) => [first, second].includes('passed') && ![first, second].includes('not yet'),
  ).length;
  const open = lines.filter(({ first, second }) => first === null && second === null).length;
  return { passed, open };
}
