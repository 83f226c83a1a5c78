import { unrollRounds } from '@eurhythm/core/plan';
import { linkRounds } from '@eurhythm/core/rounds';
import type { AnyBlockDto, RoundDto } from '@eurhythm/contract';

/** The rounds as they are held: series written out, a time to get ready before the first, each rest naming what follows. */
export function heldRounds(rounds: readonly RoundDto[]): RoundDto[] {
  return linkRounds<AnyBlockDto, RoundDto>(unrollRounds(rounds), (id, seconds, next) => ({
    kind: 'rest',
    id,
    seconds,
    next,
  }));
}
