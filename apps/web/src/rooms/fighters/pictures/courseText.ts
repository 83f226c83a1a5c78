import { howMany } from '@eurhythm/core/units';
import { valueText } from '@eurhythm/core/progress';
import { ofSide, sideText } from '@eurhythm/core/speed';
import type { CourseView } from '@eurhythm/contract';
import { csvOf, type TextTable } from './textTable.ts';

/** How a verdict stands on a small mark. The sign alone says it too, so that nothing hangs on a colour. */
export const VERDICT_MARKS = {
  faster: { sign: '▲', text: 'clearly better' },
  slower: { sign: '▼', text: 'clearly worse' },
  'no real change': { sign: '=', text: 'no real change' },
  'too little data': { sign: '?', text: 'too little data' },
} as const;

/** The trials of a test as a table that any program reads. */
export function courseCsv(courses: readonly CourseView[]): string {
  const rows = courses.flatMap(({ lead, days, measured }) =>
    days.flatMap(({ day, values }) => values.map((value, i) => [day, lead, i + 1, value, measured] as const)),
  );
  const inOrder = (a: (typeof rows)[number], b: (typeof rows)[number]): number =>
    a[0] < b[0] || (a[0] === b[0] && a[1] < b[1]) ? -1 : a[0] === b[0] && a[1] === b[1] ? a[2] - b[2] : 1;
  return csvOf({ columns: ['day', 'lead', 'trial', 'value', 'measured'], rows: rows.sort(inOrder) });
}

/** The trials of each day, the leads beside each other. */
export function courseTable(courses: readonly CourseView[]): TextTable {
  const textOf = valueText(courses[0]!.kind, courses[0]!.unit);
  const days = [...new Set(courses.flatMap((course) => course.days.map(({ day }) => day)))].sort();
  return {
    columns: ['Day', ...courses.map(({ lead, sides }) => sideText(lead, sides) || 'Result')],
    rows: days.map((day) => [
      day,
      ...courses.map(({ days: own }) =>
        (own.find((each) => each.day === day)?.values ?? []).map(textOf).join(', '),
      ),
    ]),
  };
}

/** The same in words. */
export function courseSentences(courses: readonly CourseView[]): string {
  return courses
    .map(({ title, kind, unit, sides, lead, trials, best, usual }) => {
      const textOf = valueText(kind, unit);
      const range = usual ? `, usually ${textOf(usual.low)} to ${textOf(usual.high)}` : '';
      return `${ofSide(title, lead, sides)}: ${howMany(trials, 'trial')}, best ${textOf(best)}${range}.`;
    })
    .join(' ');
}
