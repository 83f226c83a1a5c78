import { howMany } from '@eurhythm/core/units';
import type { FighterView, RunView } from '@eurhythm/contract';
import type { Mark } from '@eurhythm/core/run';

/** How one fighter did the rounds of a run. */
export interface FighterSum {
  readonly fighter: FighterView;
  /** By the rounds of the run; undefined where nobody said anything and no bell rang. */
  readonly marks: readonly (Mark | undefined)[];
  readonly finished: number;
  /** Rounds that others did and of which nothing is known. */
  readonly open: number;
}

/**
 * The rounds of everybody, those with something open first, then as they came.
 *
 * @example
 * sumUp({ rounds: [] }, [], () => undefined) // []
 */
export function sumUp(
  { rounds }: Pick<RunView, 'rounds'>,
  fighters: readonly FighterView[],
  markOf: (round: number, fighterId: string) => Mark | undefined,
): FighterSum[] {
  const wasHeld = rounds.map((_, round) => fighters.some(({ id }) => markOf(round, id) !== undefined));
  const sums = fighters.map((fighter): FighterSum => {
    const marks = rounds.map((_, round) => markOf(round, fighter.id));
    const finished = marks.filter((mark) => mark?.done === 'finished').length;
    return {
      fighter,
      marks,
      finished,
      open: marks.filter((mark, i) => mark === undefined && wasHeld[i]).length,
    };
  });
  return sums.toSorted((a, b) => b.open - a.open);
}

/**
 * The same in the order in which they stood before; who is new stands behind them.
 *
 * @example
 * inOrder([], ['ines']) // []
 */
export function inOrder(sums: readonly FighterSum[], order: readonly string[]): FighterSum[] {
  const placeOf = ({ fighter }: FighterSum): number => {
    const place = order.indexOf(fighter.id);
    return place < 0 ? order.length : place;
  };
  return sums.toSorted((a, b) => placeOf(a) - placeOf(b));
}

/** Those of one group, and how much of what they could finish they did. */
export interface GroupSum {
  readonly name: string;
  readonly sums: readonly FighterSum[];
  readonly finished: number;
  readonly of: number;
}

/**
 * The same by groups, in their order; who is in none stands behind them, without a name.
 *
 * @example
 * byGroups([], []) // []
 */
export function byGroups(sums: readonly FighterSum[], groups: RunView['groups']): GroupSum[] {
  const groupOf = new Map(groups.flatMap(({ name, fighterIds }) => fighterIds.map((id) => [id, name])));
  const all = [...groups.map(({ name }) => name), ''].map((name): GroupSum => {
    const own = sums.filter(({ fighter }) => (groupOf.get(fighter.id) ?? '') === name);
    return {
      name,
      sums: own,
      finished: own.reduce((sum, each) => sum + each.finished, 0),
      of: own.reduce((sum, each) => sum + each.marks.length, 0),
    };
  });
  return all.filter((group) => group.sums.length > 0);
}

/**
 * What was held against what was planned, in a sentence.
 *
 * @example
 * tellHeld(['Pads', 'Shadow'], [0]) // 'Held to the end bell: 1 of 2 rounds. Not: Shadow.'
 */
export function tellHeld(titles: readonly string[], endedRounds: readonly number[]): string {
  const missed = titles.filter((_, round) => !endedRounds.includes(round));
  const all = `Held to the end bell: ${titles.length - missed.length} of ${howMany(titles.length, 'round')}.`;
  return missed.length === 0 ? all : `${all} Not: ${missed.join(', ')}.`;
}

/**
 * A mark in one letter or two: F, P or S, and l or w where it was loose or wild; a dash where nothing is known.
 *
 * @example
 * letters({ done: 'part', quality: 'loose', seconds: 12, lead: null }) // 'P l'
 */
export function letters(mark: Mark | undefined): string {
  if (!mark) return '–';
  const done = mark.done === 'sat-out' ? 'S' : mark.done === 'part' ? 'P' : 'F';
  return mark.quality === 'loose' || mark.quality === 'wild' ? `${done} ${mark.quality[0]}` : done;
}
