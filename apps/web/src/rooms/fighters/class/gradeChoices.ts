import type { GradeView } from '@eurhythm/contract';

export const EVERYBODY = 'all';

/** Everybody, or those of one grade. */
export const gradeChoices = (grades: readonly GradeView[]): { value: string; label: string }[] => [
  { value: EVERYBODY, label: 'everybody' },
  ...grades.map(({ id, name }) => ({ value: id, label: name })),
];
