import { measuredBy } from '@eurhythm/core/rounds';
import type { RoundToPlay } from '@eurhythm/core/run';
import type { RunView } from '@eurhythm/contract';
import type { BurstInRound } from '../../../floor/listening/strikeResults.ts';

/** The bursts of a round that were gone through to their end. */
export function burstsOf(run: Pick<RunView, 'rounds'>, round: number, until: number): BurstInRound[] {
  let from = 0;
  return run.rounds[round]!.blocks.flatMap((block): BurstInRound[] => {
    const at = from;
    from += block.seconds;
    const measured = measuredBy(block);
    return measured?.kind === 'burst' && from <= until + 0.5 ? [{ ...measured, from: at }] : [];
  });
}

/** The calls of a round that are answered at once, as far as it was gone through, and what the test of them is called. */
export function callsOf(
  run: Pick<RunView, 'rounds'>,
  round: number,
  compiled: RoundToPlay,
  until: number,
): { readonly at: readonly number[]; readonly title: string } {
  const called = new Map(
    run.rounds[round]!.blocks.flatMap((block): [string, ReadonlySet<string>][] => {
      const measured = measuredBy(block);
      return measured?.kind === 'reaction' ? [[block.id, new Set(measured.calls)]] : [];
    }),
  );
  const cues = compiled.cues.filter(
    ({ kind, block, text, at }) =>
      kind === 'call' && at <= until && called.get(block)?.has(text.toLowerCase()),
  );
  const words = [...new Set(cues.map(({ text }) => text.toLowerCase()))].sort();
  return { at: cues.map(({ at }) => at), title: `Answer to ${words.join(', ')}`.slice(0, 60) };
}
