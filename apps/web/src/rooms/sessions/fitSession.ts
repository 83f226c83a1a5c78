import { fitToLength, type FitProposal, type Stretchable } from '@eurhythm/core/plan';
import type { AnyBlockDto, RoundDto } from '@eurhythm/contract';
import { isCounted } from './blocks/newBlock.ts';

/** Nothing that goes by the clock is cut below this. */
const LEAST = 10;

/** What may be done to a block's length: counted work stays, warm-up and stretch are never cut, the rest by half or double. */
function stretchable(block: AnyBlockDto, round: RoundDto): Stretchable {
  const { id, seconds } = block;
  if (isCounted(block) || block.kind === 'burst') return { id, seconds, min: seconds, max: seconds };
  const isGuarded = round.kind === 'warm-up' || round.kind === 'stretch';
  return {
    id,
    seconds,
    min: isGuarded ? seconds : Math.min(seconds, Math.max(LEAST, seconds / 2)),
    max: Math.min(3600, seconds * 2),
  };
}

/** The least changes that bring a session to so many minutes. Block ids are unique in a session only with their round's. */
export function fitSession(rounds: readonly RoundDto[], minutes: number): FitProposal {
  const parts = rounds.flatMap((round) =>
    round.blocks
      .filter((block) => Number.isFinite(block.seconds))
      .map((block) => ({ ...stretchable(block, round), id: placeOf(round, block.id) })),
  );
  return fitToLength(parts, minutes * 60);
}

export function placeOf(round: Pick<RoundDto, 'id'>, blockId: string): string {
  return `${round.id}/${blockId}`;
}

/** The rounds with some of the proposed lengths taken. */
export function withLengths(
  rounds: readonly RoundDto[],
  changes: readonly { readonly id: string; readonly to: number }[],
): RoundDto[] {
  const to = new Map(changes.map((change) => [change.id, change.to]));
  return rounds.map((round) => ({
    ...round,
    blocks: round.blocks.map((block) => ({
      ...block,
      seconds: to.get(placeOf(round, block.id)) ?? block.seconds,
    })),
  }));
}
