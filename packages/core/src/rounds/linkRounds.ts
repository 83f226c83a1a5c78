import { SESSION_OVER } from '../calls/index.ts';
import type { Seconds } from '../units/index.ts';
import { type WrittenBlock, isRest } from './kinds/registry.ts';

/** Rest before the first bell of a run, in which everybody gets ready. */
export const GET_READY: Seconds = 10;

/** A round as it follows others. */
interface LinkedRound {
  readonly id: string;
  readonly title: string;
  readonly blocks: readonly WrittenBlock[];
}

/**
 * Makes the rounds of a run follow each other: a time to get ready stands before the first, and each rest that ends
 * a round names the round that comes after it, or says that the session is over.
 *
 * @example
 * linkRounds([{ id: 'a', title: 'Pads', blocks: [usualBlock('free', 'w')] }])[0].blocks[0].kind // 'rest'
 */
export function linkRounds<R extends LinkedRound>(rounds: readonly R[]): R[] {
  return rounds.map((round, i) => {
    const next = rounds[i + 1]?.title ?? SESSION_OVER;
    const blocks = round.blocks.map((block, j) =>
      isRest(block) && j === round.blocks.length - 1
        ? { kind: 'rest', id: block.id, seconds: block.seconds, next }
        : block,
    );
    const ready = { kind: 'rest', id: `${round.id}-ready`, seconds: GET_READY, next: round.title };
    return { ...round, blocks: i === 0 ? [ready, ...blocks] : blocks };
  });
}
