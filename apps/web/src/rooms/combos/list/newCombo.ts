import type { ComboView, GradeView, SaveComboDto } from '@eurhythm/contract';

/** A new combo takes the first free number of the first adult grade. */
export function emptyCombo(all: readonly ComboView[], grades: readonly GradeView[]): SaveComboDto {
  const gradeId = (grades.find((grade) => grade.band === 'adults') ?? grades[0])?.id ?? '';
  const number = freeNumber(all, gradeId);
  return {
    gradeId,
    number,
    title: '',
    line: '',
    bpm: 80,
    beatsPerBar: 4,
    notes: '',
    bothLeads: true,
    focus: [],
    cycleBeats: null,
    contact: [],
    variant: null,
  };
}

/** The lowest number that the grade has not given yet. */
export function freeNumber(all: readonly ComboView[], gradeId: string): number {
  const taken = new Set(all.filter((combo) => combo.gradeId === gradeId).map((combo) => combo.number));
  let number = 1;
  while (taken.has(number)) number += 1;
  return number;
}

/** A combo of the book as it is written back. */
export function saveable({
  id: _id,
  grade: _grade,
  updatedAt: _at,
  version: _version,
  retired: _retired,
  ...combo
}: ComboView): SaveComboDto {
  return combo;
}
