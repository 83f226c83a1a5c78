import { strictestOf, type YouthLimits } from '../../body/index.ts';
import type { DraftGym, DraftPerson, DraftWish, DraftedGroup, Refused } from './wish.ts';

/** A group of the class and who is in it. */
export interface ComingGroup extends DraftedGroup {
  readonly people: readonly DraftPerson[];
  /** What the youngest of it may do; null where only adults are. */
  readonly youth: YouthLimits | null;
}

export interface Coming {
  /** The first is the one that the voice calls. */
  readonly groups: readonly ComingGroup[];
  readonly people: readonly DraftPerson[];
  /** What everybody may do together; null where only adults come. */
  readonly youth: YouthLimits | null;
  readonly notes: readonly string[];
}

export type ComingAnswer = { readonly ok: true; readonly coming: Coming } | Refused;

/** So many groups have something of their own at once: a base and its lanes. */
const MOST_GROUPS = 7;

/**
 * Who comes: those of the grades that are ticked, or the people themselves by their grades; without either, everybody who may train. A
 * grade of which nobody comes is left out with a word, unless nobody is in any: then it is drafted for the grade itself.
 */
export function whoComes({ grades: ticked, people: ids }: DraftWish, gym: DraftGym): ComingAnswer {
  const notes: string[] = [];
  const lost = ticked?.find((id) => !gym.grades.some((grade) => grade.id === id));
  if (lost !== undefined)
    return { ok: false, field: 'grades', message: `“${lost}” is not a grade of this gym.` };
  const stranger = ids?.find((id) => !gym.people.some((person) => person.id === id));
  if (stranger !== undefined)
    return { ok: false, field: 'people', message: `“${stranger}” is not a fighter of this gym.` };
  const isNamed = ids !== undefined && ids.length > 0;
  const isTicked = ticked !== undefined && ticked.length > 0;
  const asked = gym.people.filter((person) =>
    isNamed ? ids.includes(person.id) : isTicked ? ticked.includes(person.gradeId) : true,
  );
  const people = asked.filter(({ fit }) => fit);
  if (asked.length > 0 && people.length === 0)
    return {
      ok: false,
      field: 'people',
      message: `Nobody of those who are expected is fit to train: ${namesOf(asked)}. Lift the mark where it is over, or ask others.`,
    };
  const unfit = asked.filter(({ fit }) => !fit);
  if (unfit.length > 0) notes.push(`Not fit to train and left out: ${namesOf(unfit)}.`);
  const order = isTicked && !isNamed ? ticked : gym.grades.map(({ id }) => id);
  const present = order.filter((id) => people.some((person) => person.gradeId === id));
  const empty = isTicked && !isNamed ? order.filter((id) => !present.includes(id)) : [];
  const nameOf = (id: string): string => gym.grades.find((grade) => grade.id === id)!.name;
  if (present.length > 0) for (const id of empty) notes.push(`Nobody is in ${nameOf(id)}: it is left out.`);
  const wanted = present.length > 0 ? present : isTicked ? order : gym.grades.slice(0, 1).map(({ id }) => id);
  if (wanted.length === 0)
    return {
      ok: false,
      field: 'grades',
      message: 'The gym has no grades yet. Name one, and say who is in it.',
    };
  if (present.length === 0) notes.push(`Nobody is in ${wanted.map(nameOf).join(' or ')} yet.`);
  // Who was named is called first where most are; otherwise the order is the coach's.
  const sorted =
    isTicked && !isNamed ? wanted : [...wanted].sort((a, b) => countOf(people, b) - countOf(people, a));
  const groups = sorted.slice(0, MOST_GROUPS).map((id) => ({
    name: nameOf(id),
    gradeIds: [id],
    people: people.filter(({ gradeId }) => gradeId === id),
    youth: strictestOf([id], gym.grades, gym.youth),
  }));
  if (sorted.length > MOST_GROUPS)
    notes.push(
      `${sorted.slice(MOST_GROUPS).map(nameOf).join(' and ')} do what the others do: ${MOST_GROUPS} groups can have something of their own.`,
    );
  return {
    ok: true,
    coming: { groups, people, youth: strictestOf(sorted, gym.grades, gym.youth), notes },
  };
}

const countOf = (people: readonly DraftPerson[], gradeId: string): number =>
  people.filter((person) => person.gradeId === gradeId).length;

/** So many are named; the others are counted. */
const NAMED = 4;
export function namesOf(people: readonly { readonly name: string }[]): string {
  const named = people.slice(0, NAMED).map(({ name }) => name);
  return [...named, ...(people.length > NAMED ? [`${people.length - NAMED} more`] : [])].join(', ');
}
