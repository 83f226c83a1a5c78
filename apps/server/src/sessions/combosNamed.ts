import { kindOf, type WrittenBlock } from '@eurhythm/core/rounds';

/** Ids of the combos that the blocks of some rounds name, each once. */
export function combosNamed(rounds: readonly { readonly blocks: readonly WrittenBlock[] }[]): string[] {
  const named = rounds.flatMap(({ blocks }) => blocks.flatMap((block) => kindOf(block).named(block)));
  return [...new Set(named.map(({ comboId }) => comboId))];
}
