/** How an examiner marked a line of a sheet. */
export type SheetMark = 'passed' | 'not yet' | null;

export interface SheetLine {
  readonly asked: string;
  readonly first: SheetMark;
  readonly second: SheetMark;
}

export interface SheetToSign {
  readonly lines: readonly SheetLine[];
  /** Empty where nobody examined beside. */
  readonly secondExaminer: string;
}

/** So many are named; the others are counted. */
const NAMED = 3;

function named(asked: readonly string[]): string {
  const more = asked.length - NAMED;
  return `${asked.slice(0, NAMED).join('; ')}${more > 0 ? `; and ${more} more` : ''}`;
}

/**
 * What is still open in a sheet that somebody wants to sign as passed, a sentence each; who signs all the same says why.
 *
 * @param unmet what the log does not show yet of what the grade asks for
 *
 * @example
 * openInSheet({ lines: [{ asked: 'Bows', first: 'passed', second: null }], secondExaminer: '' }, []) // ['There is no second examiner.']
 */
export function openInSheet({ lines, secondExaminer }: SheetToSign, unmet: readonly string[]): string[] {
  const unmarked = lines.filter(({ first, second }) => first === null && second === null);
  const notYet = lines.filter(({ first, second }) => [first, second].includes('not yet'));
  const askedOf = (some: readonly SheetLine[]): string => named(some.map(({ asked }) => asked));
  return [
    ...(notYet.length > 0 ? [`Marked as not yet: ${askedOf(notYet)}.`] : []),
    ...(unmarked.length > 0 ? [`Not marked by anybody: ${askedOf(unmarked)}.`] : []),
    ...(unmet.length > 0 ? [`Not shown by the log: ${named(unmet)}.`] : []),
    ...(secondExaminer.trim() === '' ? ['There is no second examiner.'] : []),
  ];
}
