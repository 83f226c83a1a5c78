import { linkRounds } from '@eurhythm/core/rounds';
import { roundSeconds, unrollRounds } from '@eurhythm/core/plan';
import type { Seconds } from '@eurhythm/core/units';
import type { AnyBlockDto, RoundDto } from '@eurhythm/contract';

/** The round that sounds at an instant of a session, and when it starts; null behind the end. */
export function roundAt(
  rounds: readonly RoundDto[],
  at: Seconds,
): { readonly round: RoundDto; readonly starts: Seconds } | null {
  const next = (blockId: string, seconds: Seconds, title: string): AnyBlockDto => ({
    kind: 'rest',
    id: blockId,
    seconds,
    next: title,
  });
  // The time to get ready before the first round belongs to the Floor, not to the plan.
  const held = linkRounds<AnyBlockDto, RoundDto>(unrollRounds(rounds), next).map((round, i) =>
    i === 0 ? { ...round, blocks: round.blocks.slice(1) } : round,
  );
  let starts = 0;
  for (const round of held) {
    const seconds = roundSeconds(round);
    if (at < starts + seconds) return { round, starts };
    starts += seconds;
  }
  return null;
}
