import { expose } from 'comlink';
import { moveBook } from '@eurhythm/core/moves';
import { sessionPlanner, type ClassFacts, type PlanGround, type WrittenSession } from '@eurhythm/core/plan';
import type { TempoShift } from '@eurhythm/core/rounds';
import { findLine, findLines, type HeardLine } from '@eurhythm/core/strikes';
import { compileToPlay, type PlannedRound, type RoundSetting } from '@eurhythm/core/run';
import type { BookView } from '@eurhythm/contract';

/** The book as it is sent to the worker. */
export type WiredBook = Pick<BookView, 'items' | 'numbers'>;

/** What a session is planned from, with the book as it is sent. */
export type WiredGround = Omit<PlanGround, 'book'> & { readonly book: WiredBook };

let planner: ReturnType<typeof sessionPlanner> | null = null;

/** What takes long is worked out in a thread of its own, with the same core as on the server. */
const work = {
  compile: (
    { items, numbers }: WiredBook,
    round: PlannedRound,
    setting: RoundSetting,
    shifts: readonly TempoShift[],
  ) => compileToPlay(round, setting, moveBook(items, numbers), shifts),

  /** From what sessions are planned, until the next one is given. */
  ground: ({ book: { items, numbers }, ...rest }: WiredGround): void => {
    planner = sessionPlanner({ ...rest, book: moveBook(items, numbers) });
  },

  /** The lines that fit best to strikes at these instants; of one line at a tempo that is told, that one. */
  findLines: (onsets: readonly number[], lines: readonly HeardLine[], bpm?: number) =>
    bpm === undefined ? findLines(onsets, lines) : lines.flatMap((line) => findLine(onsets, line, bpm) ?? []),

  /** Blocks that were planned from the same ground before are known. */
  plan: (session: WrittenSession, facts: ClassFacts) => {
    if (!planner) throw new Error('A session cannot be planned before its ground is known.');
    return planner(session, facts);
  },
};

export type CoreWork = typeof work;

expose(work);
