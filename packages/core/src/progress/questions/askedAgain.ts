/** What was asked is left alone for so many days, unless it says something else. */
export const ASKED_AGAIN_DAYS = 7;

/** How a question was asked last. */
export interface AskedBefore {
  readonly sentence: string;
  /** The day on which it was first asked like that, like 2026-03-05. */
  readonly day: string;
  readonly isAnswered: boolean;
}

/**
 * Whether a question is asked on a day: on the day on which it first came until somebody answers it, when it says something new, and
 * after a week.
 *
 * @example
 * isAsked('Not here for 21 days.', { sentence: 'Not here for 21 days.', day: '2026-03-05', isAnswered: false }, '2026-03-07') // false
 */
export function isAsked(sentence: string, before: AskedBefore | undefined, today: string): boolean {
  if (!before || withoutCounts(before.sentence) !== withoutCounts(sentence)) return true;
  const days = (Date.parse(today) - Date.parse(before.day)) / 86_400_000;
  return days >= ASKED_AGAIN_DAYS || (days === 0 && !before.isAnswered);
}

/** That a day more has gone by is nothing new. */
const withoutCounts = (sentence: string): string =>
  sentence.replace(/\b\d+ (?:days?|weeks?)\b/g, 'some time');
