import type { Move } from './move.ts';

/**
 * The codes from a move down its easier moves, itself first. `circular` tells that the chain comes back to a move it
 * has passed; it is then cut there.
 *
 * @example
 * easierChain(book.moves, 'jab').circular // false
 */
export function easierChain(
  moves: ReadonlyMap<string, Move>,
  code: string,
): { readonly codes: readonly string[]; readonly circular: boolean } {
  const codes: string[] = [];
  for (let at: string | null = code; at !== null; at = moves.get(at)?.easier ?? null) {
    if (codes.includes(at)) return { codes, circular: true };
    codes.push(at);
  }
  return { codes, circular: false };
}
