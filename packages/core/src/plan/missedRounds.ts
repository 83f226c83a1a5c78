import { GET_READY, isRest, type WrittenBlock } from '../rounds/index.ts';
import type { Seconds } from '../units/index.ts';
import { roundSeconds } from './plannedRound.ts';

interface HeldRound {
  readonly id: string;
  readonly blocks: readonly WrittenBlock[];
}

/**
 * The rounds of a run whose end bell did not ring, as a coach writes them: without the time to get ready, and without what the
 * rests said of what came next.
 *
 * @param rung rounds whose end bell rang, from 0
 *
 * @example
 * missedRounds([{ id: 'a', blocks: [] }, { id: 'b', blocks: [] }], [0]).map(({ id }) => id) // ['b']
 */
export function missedRounds<R extends HeldRound>(held: readonly R[], rung: readonly number[]): R[] {
  return held.filter((_, i) => !rung.includes(i)).map((round) => ({ ...round, blocks: unlinked(round) }));
}

function unlinked({ id, blocks }: HeldRound): WrittenBlock[] {
  const own = blocks.filter((block) => block.id !== `${id}-ready`);
  const last = own.at(-1);
  return last && isRest(last)
    ? [...own.slice(0, -1), { kind: 'rest', id: last.id, seconds: last.seconds }]
    : own;
}

/**
 * The time of the rounds whose end bell rang, without the time to get ready.
 *
 * @param rung rounds whose end bell rang, from 0
 *
 * @example
 * rungSeconds([{ id: 'a', blocks: [] }], [0]) // 0
 */
export function rungSeconds(held: readonly HeldRound[], rung: readonly number[]): Seconds {
  const isReady = held[0]?.blocks[0]?.id === `${held[0]?.id}-ready`;
  return rung.reduce(
    (sum, i) => sum + (held[i] ? roundSeconds(held[i]) : 0) - (i === 0 && isReady ? GET_READY : 0),
    0,
  );
}
