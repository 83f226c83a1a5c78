import type { Seconds } from '../units/index.ts';

/** Rest before the first bell of a run, in which everybody gets ready. */
export const GET_READY: Seconds = 10;

interface AnyBlock {
  readonly kind: string;
  readonly id: string;
  readonly seconds: Seconds;
}

interface AnyRound<B extends AnyBlock> {
  readonly id: string;
  readonly title: string;
  readonly blocks: readonly B[];
}

/**
 * Makes the rounds of a run follow each other: a time to get ready stands before the first, and each rest that ends
 * a round names the round that comes after it.
 */
export function linkRounds<B extends AnyBlock, R extends AnyRound<B>>(
  rounds: readonly R[],
  restBlock: (id: string, seconds: Seconds, next: string) => B,
): R[] {
  return rounds.map((round, i) => {
    const next = rounds[i + 1]?.title ?? '';
    const blocks = round.blocks.map((block, j) =>
      block.kind === 'rest' && j === round.blocks.length - 1
        ? restBlock(block.id, block.seconds, next)
        : block,
    );
    return {
      ...round,
      blocks: i === 0 ? [restBlock(`${round.id}-ready`, GET_READY, round.title), ...blocks] : blocks,
    };
  });
}
