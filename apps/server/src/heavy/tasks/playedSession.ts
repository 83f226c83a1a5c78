import { moveBook, type Move, type NumberedMove, type SideNames } from '@eurhythm/core/moves';
import type { WrittenBlock } from '@eurhythm/core/rounds';
import { compileToPlay, type PlannedRound, type RoundSetting, type RoundToPlay } from '@eurhythm/core/run';
import type { Seconds } from '@eurhythm/core/units';

/** The book as it is sent to a thread. */
export interface SentBook {
  readonly items: readonly Move[];
  readonly numbers: readonly NumberedMove[];
  readonly sides?: SideNames;
}

/** A session, or one round of it, with all that is needed to compile it as it is played from its first second on. */
export interface SessionToPlay {
  readonly title: string;
  readonly rounds: readonly (PlannedRound & {
    readonly title: string;
    readonly written: readonly WrittenBlock[];
  })[];
  readonly setting: RoundSetting;
  readonly book: SentBook;
}

/** A round in its place in a file. */
export interface PlayedRound {
  readonly at: Seconds;
  readonly title: string;
  readonly round: RoundToPlay;
  readonly written: readonly WrittenBlock[];
}

export interface PlayedSession {
  readonly title: string;
  readonly seconds: Seconds;
  readonly rounds: readonly PlayedRound[];
}

/** Compiles the rounds one after the other on one clock. */
export function playSession({ title, rounds, setting, book }: SessionToPlay): PlayedSession {
  const moves = moveBook(book.items, book.numbers, book.sides);
  let seconds = 0;
  const played = rounds.map((planned): PlayedRound => {
    const at = seconds;
    const round = compileToPlay(planned, setting, moves);
    seconds += round.duration;
    return { at, title: planned.title, round, written: planned.written };
  });
  return { title, seconds, rounds: played };
}
