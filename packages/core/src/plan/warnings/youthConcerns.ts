import type { YouthLimits } from '../../body/index.ts';
import type { MoveBook } from '../../moves/index.ts';
import type { Block } from '../../rounds/index.ts';
import { groupBy } from '../../units/index.ts';
import { youthFaultsIn } from '../roundWork.ts';

/** Somebody of a class. */
export interface ClassMember {
  readonly name: string;
  /** The group of the session, empty for none. */
  readonly group: string;
  /** What the band may do; null for adults. */
  readonly youth: YouthLimits | null;
}

/** What some of a class should not do of it. */
export interface YouthConcern {
  readonly names: readonly string[];
  /** Each limit once, such as "jab, hook: no contact to the head". */
  readonly faults: readonly string[];
}

/**
 * What a class that is about to begin asks of children beyond the limits of their bands, with the names of those it concerns;
 * those with the same faults together, in the order of the class.
 *
 * @param blocks of the whole session, with their combos in their places
 *
 * @example
 * youthConcerns([{ ...filled('count'), line: 'r:knee' }], [{ name: 'Mika', group: '', youth: { band: 'Drop', headContact: true, knees: false, elbows: true, spins: true, jumps: true } }], book)
 * // [{ names: ['Mika'], faults: ['knee: no knees'] }]
 */
export function youthConcerns(
  blocks: readonly Block[],
  people: readonly ClassMember[],
  book: MoveBook,
): YouthConcern[] {
  const alike = groupBy(
    people.filter(({ youth }) => youth !== null),
    ({ group, youth }) => JSON.stringify([group, youth]),
  );
  const found = [...alike.values()].map((members) => {
    const { group, youth } = members[0]!;
    const own = blocks.filter(({ who = [] }) => who.length === 0 || group === '' || who.includes(group));
    const faults = new Set(own.flatMap((block) => youthFaultsIn(block, book, youth!, group || null)));
    return { names: members.map(({ name }) => name), faults: byLimit([...faults]) };
  });
  const byFaults = groupBy(
    found.filter(({ faults }) => faults.length > 0),
    ({ faults }) => faults.join('; '),
  );
  return [...byFaults.values()].map((same) => ({
    names: same.flatMap(({ names }) => names),
    faults: same[0]!.faults,
  }));
}

/** "jab: no knees" and "hook: no knees" as "jab, hook: no knees". */
function byLimit(faults: readonly string[]): string[] {
  const limitOf = (fault: string) => fault.slice(fault.lastIndexOf(': '));
  return [...groupBy(faults, limitOf)].map(
    ([limit, same]) => same.map((fault) => fault.slice(0, -limit.length)).join(', ') + limit,
  );
}
