import { GET_READY, linkRounds, type WrittenBlock } from '../rounds/index.ts';
import type { Seconds } from '../units/index.ts';
import { roundSeconds, unrollRounds, type Series } from './plannedRound.ts';

/** A round of a session as it is kept. */
interface KeptRound {
  readonly id: string;
  readonly title: string;
  readonly blocks: readonly WrittenBlock[];
  readonly series?: Series | null | undefined;
}

/**
 * The rounds as they are held: series written out, a time to get ready before the first, each rest naming what follows.
 *
 * @example
 * heldRounds([{ id: 'a', title: 'Pads', blocks: [usualBlock('free', 'w')] }])[0].blocks.map(({ kind }) => kind) // ['rest', 'free']
 */
export function heldRounds<R extends KeptRound>(rounds: readonly R[]): R[] {
  return linkRounds(unrollRounds(rounds));
}

/**
 * The round that sounds at an instant of a planned session, and when it starts; null behind the end. The time to get ready
 * before the first round belongs to the Floor, not to the plan.
 *
 * @example
 * roundAt([{ id: 'a', title: 'Pads', blocks: [usualBlock('free', 'w')] }], 30).starts // 0
 */
export function roundAt<R extends KeptRound>(
  rounds: readonly R[],
  at: Seconds,
): { readonly round: R; readonly starts: Seconds } | null {
  let starts = 0;
  for (const [i, held] of heldRounds(rounds).entries()) {
    const round = i === 0 ? { ...held, blocks: held.blocks.slice(1) } : held;
    const seconds = roundSeconds(round);
    if (at < starts + seconds) return { round, starts };
    starts += seconds;
  }
  return null;
}

/**
 * The length of rounds that are held, as the plan tells it: the time to get ready before the first is not part of it.
 *
 * @example
 * plannedSecondsOf(heldRounds([{ id: 'a', title: 'Pads', blocks: [usualBlock('free', 'w')] }])) // 120
 */
export function plannedSecondsOf(held: readonly Pick<KeptRound, 'id' | 'blocks'>[]): Seconds {
  const [first] = held;
  const ready = first?.blocks[0]?.id === `${first?.id}-ready` ? GET_READY : 0;
  return held.reduce((sum, round) => sum + roundSeconds(round), 0) - ready;
}
