import { SESSION_OVER } from '../calls/index.ts';
import type { Seconds } from '../units/index.ts';
import { type WrittenBlock, isRest, saidAhead } from './kinds/registry.ts';

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
 * a round names the round that comes after it, or says that the session is over. What leaves no time to say what it is, is named
 * in the rest before it.
 *
 * @example
 * linkRounds([{ id: 'a', title: 'Pads', blocks: [usualBlock('free', 'w')] }])[0].blocks[0].kind // 'rest'
 */
export function linkRounds<R extends LinkedRound>(rounds: readonly R[]): R[] {
  return rounds.map((round, i) => {
    const following = rounds[i + 1];
    const blocks = round.blocks.map((block, j) => {
      if (!isRest(block)) return block;
      const after = round.blocks[j + 1];
      const next = after ? block.next || saidAhead(after) : following ? announced(following) : SESSION_OVER;
      return next === '' ? block : { kind: 'rest', id: block.id, seconds: block.seconds, next };
    });
    const ready = { kind: 'rest', id: `${round.id}-ready`, seconds: GET_READY, next: announced(round) };
    return { ...round, blocks: i === 0 ? [ready, ...blocks] : blocks };
  });
}

/** The title of a round, and what has to be said before its first block where the title does not. */
function announced({ title, blocks }: LinkedRound): string {
  const ahead = blocks[0] ? saidAhead(blocks[0]) : '';
  return title.toLowerCase().includes(ahead.toLowerCase()) ? title : `${title}, ${ahead}`;
}
