import type { WrittenBlock } from '@eurhythm/core/rounds';
import type { AnyBlockDto, RoundDto } from '@eurhythm/contract';

/** The rounds with every block put through `change`; the same list where no block changes. */
export function changedRounds(rounds: RoundDto[], change: (block: WrittenBlock) => WrittenBlock): RoundDto[] {
  const changed = rounds.map((round): RoundDto => {
    const blocks = round.blocks.map((block) => change(block) as AnyBlockDto);
    return blocks.every((block, i) => block === round.blocks[i]) ? round : { ...round, blocks };
  });
  return changed.every((round, i) => round === rounds[i]) ? rounds : changed;
}
