import { ROUND_LIMITS, isCounted, kindOf, type Phase, type WrittenBlock } from '../../rounds/index.ts';
import type { Seconds } from '../../units/index.ts';
import { fitToLength, type FitProposal, type Stretchable } from './fitToLength.ts';
import { seriesOf, type RoundLike } from '../plannedRound.ts';

/** Nothing that goes by the clock is cut below this (our own choice: shorter is no work). */
const LEAST: Seconds = 10;
const LONGEST: Seconds = ROUND_LIMITS.blockSeconds.max;

/**
 * What may be done to a block: counted work and bursts stay, warm-up and stretch are never cut, the rest by half or double.
 *
 * @example
 * stretchLimits(usualBlock('burst', 'b'), 'pads') // { min: 10, max: 10 }
 */
export function stretchLimits(block: WrittenBlock, phase: Phase): Pick<Stretchable, 'min' | 'max'> {
  const { seconds } = block;
  if (isCounted(block) || !kindOf(block).stretches) return { min: seconds, max: seconds };
  const isGuarded = phase === 'warm-up' || phase === 'stretch';
  return {
    min: isGuarded ? seconds : Math.min(seconds, Math.max(LEAST, Math.ceil(seconds / 2))),
    max: Math.min(LONGEST, seconds * 2),
  };
}

/**
 * Ids of blocks are unique in a session only together with their round's.
 *
 * @example
 * placeOf({ id: 'r' }, 'b') // 'r/b'
 */
export function placeOf(round: { readonly id: string }, blockId: string): string {
  return `${round.id}/${blockId}`;
}

/**
 * The least changes that bring a session to so many seconds. A block of a series is changed each time it is held, so it
 * counts as often, and its change is reported for one time.
 *
 * @example
 * fitSession([{ id: 'r', title: 'R', kind: 'pads', blocks: [usualBlock('combo', 'b')] }], 130).changes.map(({ from, to }) => [from, to]) // [[120, 130]]
 */
export function fitSession<B extends WrittenBlock>(
  rounds: readonly RoundLike<B>[],
  wanted: Seconds,
): FitProposal {
  const times = new Map<string, number>();
  const parts = seriesOf(rounds).flatMap((stretch) =>
    stretch.rounds.flatMap((round) =>
      round.blocks
        .filter((block) => Number.isFinite(block.seconds))
        .map((block): Stretchable => {
          const id = placeOf(round, block.id);
          times.set(id, stretch.times);
          const { min, max } = stretchLimits(block, round.kind);
          return {
            id,
            seconds: block.seconds * stretch.times,
            min: min * stretch.times,
            max: max * stretch.times,
            times: stretch.times,
          };
        }),
    ),
  );
  const { changes, ...fit } = fitToLength(parts, wanted);
  return {
    ...fit,
    changes: changes.map(({ id, from, to }) => ({
      id,
      from: from / times.get(id)!,
      to: to / times.get(id)!,
    })),
  };
}

/**
 * The rounds with some of the proposed lengths taken.
 *
 * @example
 * withLengths([{ id: 'r', title: 'R', kind: 'pads', blocks: [usualBlock('rest', 'b')] }], [{ id: placeOf({ id: 'r' }, 'b'), to: 30 }])[0].blocks[0].seconds // 30
 */
export function withLengths<B extends WrittenBlock, R extends RoundLike<B>>(
  rounds: readonly R[],
  changes: readonly { readonly id: string; readonly to: Seconds }[],
): R[] {
  const to = new Map(changes.map((change) => [change.id, change.to]));
  return rounds.map((round) => ({
    ...round,
    blocks: round.blocks.map((block) => ({
      ...block,
      seconds: to.get(placeOf(round, block.id)) ?? block.seconds,
    })),
  }));
}
