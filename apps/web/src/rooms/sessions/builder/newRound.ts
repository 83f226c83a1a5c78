import type { RoundDto, SchoolDto } from '@eurhythm/contract';
import { newBlock } from '../kinds/kinds.ts';

/** A round as a coach would begin it: two minutes of work and forty seconds of rest. */
export function newRound(
  kind: 'pads' | 'shadow',
  id: string,
  comboId: string | null,
  words: SchoolDto['words'] = 'numbers',
): RoundDto {
  const work =
    kind === 'pads' ? newBlock('combo', `${id}-work`, comboId, words) : newBlock('free', `${id}-work`, null);
  return {
    id,
    kind,
    title: kind === 'pads' ? 'Pads' : 'Shadow',
    blocks: [work, newBlock('rest', `${id}-rest`, null)],
  };
}

/** An id that no block of the round has. */
export function freeBlockId(round: RoundDto): string {
  const taken = new Set(round.blocks.map((block) => block.id));
  let n = round.blocks.length + 1;
  while (taken.has(`${round.id}-${n}`)) n += 1;
  return `${round.id}-${n}`;
}

/** The same round with ids of its own. */
export function copyRound(round: RoundDto, id: string): RoundDto {
  return { ...round, id, blocks: round.blocks.map((block, i) => ({ ...block, id: `${id}-${i}` })) };
}

/** An id that no round of the session has. */
export function freeRoundId(rounds: readonly RoundDto[]): string {
  const taken = new Set(rounds.map((round) => round.id));
  let n = rounds.length + 1;
  while (taken.has(`round-${n}`)) n += 1;
  return `round-${n}`;
}
