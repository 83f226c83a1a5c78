import { clipLibrary, type VoiceClip } from '@eurhythm/core/calls';
import { moveBook } from '@eurhythm/core/moves';
import { combosOf, compileRound, type RoundPlan } from '@eurhythm/core/rounds';
import type { SentBook } from './playedSession.ts';

/** A compiled round with the combos that its cues name, as the bytes of its JSON. */
export function compiledJson(
  plan: RoundPlan,
  { items, numbers, sides }: SentBook,
  clips: readonly VoiceClip[],
): Uint8Array {
  const book = moveBook(items, numbers, sides);
  const compiled = compileRound(plan, book, clipLibrary(clips));
  return new TextEncoder().encode(JSON.stringify({ ...compiled, combos: combosOf(plan.blocks, book) }));
}
