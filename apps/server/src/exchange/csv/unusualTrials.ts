import { unusualText, usualOf } from '@eurhythm/core/progress';
import { countOf } from '@eurhythm/core/speed';
import { groupBy } from '@eurhythm/core/units';
import type { GymFile } from '@eurhythm/contract';
import type { WholeGymFile } from '../gymFile/readGym.ts';

type Trial = NonNullable<GymFile['attempts']>[number];

/** So many are named one by one. */
const NAMED = 5;

/**
 * Trials of a table that lie far from what the same person usually does in the same test from the same lead, a sentence each: they are
 * asked about before they are taken, and taken if the coach wants it.
 *
 * @param trials of the table, in its order; the first stands in line 2
 */
export function unusualTrials(trials: readonly Trial[], gym: WholeGymFile): string[] {
  const tests = new Map(gym.tests.map((test) => [test.id, test]));
  const names = new Map(gym.fighters.map(({ id, name }) => [id, name]));
  const resultOf = ({ testId, value, ...counted }: Trial): number =>
    value ?? countOf({ said: counted.said ?? null, instants: counted.instants }, testOf(testId));
  const testOf = (id: string) => tests.get(id) ?? { kind: 'burst' as const, seconds: 0 };
  const known = groupBy(gym.attempts, keyOf);
  const notes = trials.flatMap((trial, i): string[] => {
    const others = (known.get(keyOf(trial)) ?? []).filter(({ id }) => id !== trial.id).map(resultOf);
    const asked = unusualText(resultOf(trial), usualOf(others), (value) => String(Number(value.toFixed(2))));
    if (asked === '') return [];
    const whose = `${names.get(trial.fighterId) ?? trial.fighterId}, ${tests.get(trial.testId)?.title ?? trial.testId}`;
    return [`Line ${i + 2}, ${whose}: ${asked}`];
  });
  const more = notes.length - NAMED;
  return more > 0 ? [...notes.slice(0, NAMED), `And ${more} more that lie as far from the usual.`] : notes;
}

const keyOf = ({ fighterId, testId, lead }: Trial): string => `${fighterId} ${testId} ${lead}`;
