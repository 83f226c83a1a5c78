import { dayNumber } from './weeks.ts';

/** One of a class in one test: the day of the last trial, written like 2026-03-05. */
export interface LastTried {
  readonly testId: string;
  readonly title: string;
  readonly fighterId: string;
  readonly last: string;
}

/** A test that a class has not done for a while. */
export interface TestDue {
  readonly testId: string;
  readonly title: string;
  /** So many of those who come were not measured in it for so many weeks. */
  readonly late: number;
  readonly of: number;
  readonly weeks: number;
}

/** A verdict over a month needs a trial in it; from here on nobody knows. */
const WEEKS = 6;
/** A test of one or two is theirs, not the class's. */
const LEAST = 3;

/**
 * The tests of a class that are due: at least half of those who `come` and have done one were not measured in it for six weeks. What
 * most wait for first.
 *
 * @example
 * testsDue(['ines', 'sanne', 'emeka'].map((fighterId) => ({ testId: 't', title: 'Knees', fighterId, last: '2025-12-05' })), new Set(['ines', 'sanne', 'emeka']), '2026-03-05').map(({ weeks }) => weeks) // [12]
 */
export function testsDue(tried: readonly LastTried[], come: ReadonlySet<string>, today: string): TestDue[] {
  const tests = new Map<string, { title: string; last: Map<string, string> }>();
  for (const { testId, title, fighterId, last } of tried) {
    if (!come.has(fighterId)) continue;
    const test = tests.get(testId) ?? { title, last: new Map<string, string>() };
    const before = test.last.get(fighterId);
    if (before === undefined || before < last) test.last.set(fighterId, last);
    tests.set(testId, test);
  }
  const weeksSince = (day: string): number => Math.floor((dayNumber(today) - dayNumber(day)) / 7);
  return [...tests]
    .map(([testId, { title, last }]) => {
      const since = [...last.values()].map(weeksSince).filter((weeks) => weeks >= WEEKS);
      return { testId, title, late: since.length, of: last.size, weeks: Math.min(...since) };
    })
    .filter(({ late, of }) => of >= LEAST && 2 * late >= of)
    .sort((a, b) => b.late - a.late);
}
