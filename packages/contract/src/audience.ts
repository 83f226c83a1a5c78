import type { Audience } from '@eurhythm/core/body';
import type { GymView, SchoolDto } from './gym.ts';

/** A band of children of which the gym said nothing is kept to the strictest limits. */
const STRICT = { headContact: false, knees: false, elbows: false, spins: false, jumps: false };

/** For whom a combo of this grade is: its place among the adult grades, or the limits of its band of children. */
export function audienceOf(
  gradeId: string | undefined,
  grades: GymView['grades'],
  school: SchoolDto,
): Audience {
  const grade = grades.find((each) => each.id === gradeId);
  if (!grade) return { grade: null, youth: null };
  if (grade.band === 'children') {
    const limits = school.youth.find((each) => each.gradeId === grade.id) ?? STRICT;
    return { grade: { name: grade.name, rank: 0 }, youth: { ...limits, band: grade.name } };
  }
  const adults = grades.filter((each) => each.band === 'adults');
  return { grade: { name: grade.name, rank: adults.indexOf(grade) }, youth: null };
}
