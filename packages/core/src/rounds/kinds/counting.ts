import { walkStance } from '../../body/index.ts';
import { countWord } from '../../calls/index.ts';
import { parseLine } from '../../line/index.ts';
import { isStrike, otherLead, type Lead, type MoveBook } from '../../moves/index.ts';
import { numberText, type Seconds } from '../../units/index.ts';
import type { CallPriority } from '../../calls/index.ts';
import type { Layout } from '../cue.ts';
import type { SceneLane } from '../scene.ts';
import type { CountWords } from '../roundSettings.ts';

/** Words at the start of a side, and the time they need. */
export const OPENING: Seconds = 3;
/** From the bell to the first call, so that the bell does not cover it. */
export const AFTER_BELL: Seconds = 0.9;
/** Count words are followed at club pace, unless the block sets its own time. */
export const COUNT_PACE = 1.25;
/** Most repetitions of one set. Where the language of the count ends before, a finding says so. */
export const MOST_COUNTED = 500;
/** Nothing is called any more this close to the end of a block. */
export const BEFORE_BLOCK_ENDS: Seconds = 0.2;

/** Repetitions that the groups of a class do at once; the clock is that of the group with the most. */
export interface GroupReps {
  readonly group: string;
  readonly reps: number;
  /** What it does instead of the others, on the same count: a line where lines are counted, else an exercise. */
  readonly line?: string | undefined;
  readonly title?: string | undefined;
}

/**
 * The most repetitions of any group; who belongs to none does `reps`.
 *
 * @param reps repetitions
 *
 * @example
 * mostReps(15, [{ group: 'Ebb', reps: 25 }]) // 25
 */
export function mostReps(reps: number, groups: readonly GroupReps[]): number {
  return Math.max(reps, ...groups.map((each) => each.reps));
}

/**
 * Who does how many instead, or something else, in brackets behind what the others do.
 *
 * @example
 * tellGroups([{ group: 'Ebb', reps: 25 }, { group: 'Flood', reps: 30, line: 'f:push' }]) // ' (Ebb 25, Flood 30 f:push)'
 */
export function tellGroups(groups: readonly GroupReps[]): string {
  return groups.length === 0
    ? ''
    : ` (${groups.map(({ group, reps, line = '', title = line }) => `${group} ${numberText(reps)} ${title}`.trimEnd()).join(', ')})`;
}

/**
 * The word on which a repetition is counted; empty beyond the last one that the language of the count has.
 *
 * @param n the repetition, from 1
 *
 * @example
 * wordOfCount(3, ENGLISH_COUNT) // 'three'
 */
export function wordOfCount(n: number, { language, own }: CountWords): string {
  return countWord(n, language, own) ?? '';
}

/**
 * What the groups have done of their own when `done` repetitions are counted.
 *
 * @param begun repetitions that are begun
 *
 * @example
 * lanesAt([{ group: 'Ebb', reps: 10 }], 12, () => 'Squats') // [{ group: 'Ebb', what: 'Squats', count: { n: 10, of: 10 }, isDone: true }]
 */
export function lanesAt(
  groups: readonly GroupReps[],
  begun: number,
  nameOf: (group: GroupReps) => string,
): SceneLane[] {
  return groups.map((group) => ({
    group: group.group,
    what: nameOf(group),
    count: { n: Math.min(begun, group.reps), of: group.reps },
    isDone: begun > group.reps,
  }));
}

/** The sides of a movement in their order; null for what has none. */
export type SideInTurn = 'first' | 'other' | null;
/** How a side is written. */
export const SIDE_WORDS = { first: 'first side', other: 'other side' } as const;

/**
 * The side of the body with which a line begins, from a lead; null where it has none, or cannot be read.
 *
 * @example
 * sideOfLine('r:round', book, 'left') // 'right'
 * sideOfLine('horse', book, 'left') // null
 */
export function sideOfLine(line: string, book: MoveBook, lead: Lead): Lead | null {
  const parsed = parseLine(line, book);
  if (!parsed.ok) return null;
  const first = walkStance(parsed.line, book, lead).strokes.find(
    ({ stroke, move, side }) => stroke.by === 'fighter' && isStrike(move) && side !== null,
  );
  return first ? (first.side === 'front' ? lead : otherLead(lead)) : null;
}

/**
 * What a side in its turn is called: left or right where that is known.
 *
 * @param first the side that is first; null where nobody knows
 *
 * @example
 * sidePhrase('other', 'right') // 'left side'
 * sidePhrase('other', null) // 'other side'
 */
export function sidePhrase(side: 'first' | 'other', first: Lead | null): string {
  return first === null ? SIDE_WORDS[side] : `${side === 'first' ? first : otherLead(first)} side`;
}

/**
 * @example
 * sidesInTurn('both') // ['first', 'other']
 */
export function sidesInTurn(sides: 'both' | 'one' | 'in-turn'): readonly SideInTurn[] {
  return sides === 'both' ? ['first', 'other'] : [null];
}

/**
 * Something said about a counted block, from `at` on or a little later.
 *
 * @example
 * (layout => (sayAbout(layout, 'b', { forms: ['one'], at: 1, priority: 'count', slack: 0 }), layout.calls.length))(emptyLayout()) // 1
 */
export function sayAbout(
  layout: Layout,
  block: string,
  {
    forms,
    at,
    priority,
    slack,
  }: { forms: readonly string[]; at: Seconds; priority: CallPriority; slack: Seconds },
): void {
  const from = Math.max(0, at);
  layout.calls.push({
    forms,
    priority,
    place: { kind: 'start', at: from, latest: from + slack },
    cue: { kind: 'call', block },
  });
}

/**
 * Tells what of counted work its block has no time for; nothing is left out in silence.
 *
 * @param done repetitions there is time for
 * @param asked repetitions that are written
 *
 * @example
 * (layout => (tellCut(layout, 'b', 60, 12, 20), layout.findings[0].message))(emptyLayout()) // 'Only 12 of 20 counts fit. The block needs more time.'
 */
export function tellCut(layout: Layout, block: string, at: Seconds, done: number, asked: number): void {
  if (done >= asked) return;
  layout.findings.push({
    rule: 'count-cut',
    severity: 'caution',
    at,
    block,
    message: `Only ${done} of ${asked} counts fit. The block needs more time.`,
  });
}

/**
 * Says once for a block that its count goes further than the words do.
 *
 * @param most the highest count of the block
 *
 * @example
 * (layout => (tellWordsEnd(layout, 'b', 1, ENGLISH_COUNT, 12), layout.findings.length))(emptyLayout()) // 0
 */
export function tellWordsEnd(
  layout: Layout,
  block: string,
  at: Seconds,
  { language, own }: CountWords,
  most: number,
): void {
  const last = Array.from({ length: most }, (_, i) => i + 1).findIndex(
    (n) => countWord(n, language, own) === null,
  );
  if (last === -1) return;
  const whose = language === 'own' ? 'The gym’s own count words end' : 'The count words end';
  layout.findings.push({
    rule: 'count-words-end',
    severity: 'caution',
    at,
    block,
    message: `${whose} at ${last}; from ${last + 1} on only the tick counts. ${language === 'own' ? 'Write more words, or choose a language that goes on.' : 'Split the work into sets.'}`,
  });
}
