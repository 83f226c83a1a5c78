import type { CourseView } from '@eurhythm/contract';

/** How a verdict stands on a small mark. The sign alone says it too, so that nothing hangs on a colour. */
export const VERDICT_MARKS = {
  faster: { sign: '▲', text: 'really better' },
  slower: { sign: '▼', text: 'really worse' },
  'no real change': { sign: '=', text: 'no real change' },
  'too little data': { sign: '?', text: 'too little data' },
} as const;

/** The trials of a test as a table that any program reads. */
export function courseCsv(courses: readonly CourseView[]): string {
  const rows = courses.flatMap(({ lead, days, measured }) =>
    days.flatMap(({ day, values }) =>
      values.map((value, i) => [day, lead, i + 1, value, measured].join(',')),
    ),
  );
  return ['day,lead,trial,value,measured', ...rows.sort()].join('\r\n');
}
