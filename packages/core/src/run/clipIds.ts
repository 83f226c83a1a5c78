import type { CompiledRound } from '../rounds/index.ts';

/**
 * Every clip that a round calls, each once.
 *
 * @example
 * clipIds({ cues: [{ clip: { id: 'one' } }, {}, { clip: { id: 'one' } }] }) // ['one']
 */
export function clipIds({ cues }: Pick<CompiledRound, 'cues'>): string[] {
  return [...new Set(cues.flatMap((cue) => cue.clip?.id ?? []))];
}
