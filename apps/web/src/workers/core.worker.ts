import { expose } from 'comlink';
import { moveBook, type MoveBook } from '@eurhythm/core/moves';
import {
  compose,
  sessionPlanner,
  type ComposeWish,
  type ClassFacts,
  type PlanGround,
  type WrittenSession,
} from '@eurhythm/core/plan';
import type { TempoShift } from '@eurhythm/core/rounds';
import { findLines } from '@eurhythm/core/strikes';
import { compileToPlay, type PlannedRound, type RoundSetting } from '@eurhythm/core/run';
import type { BookView } from '@eurhythm/contract';

/** The book as it is sent to the worker. */
export type WiredBook = Pick<BookView, 'items' | 'numbers' | 'sides'>;

/** What a session is planned from, beside the book. */
export type GroundBesideBook = Omit<PlanGround, 'book'>;

let book: MoveBook | null = null;
let planner: ReturnType<typeof sessionPlanner> | null = null;

/** What takes long is worked out in a thread of its own, with the same core as on the server. */
const work = {
  /** The book that rounds are compiled and sessions planned with, until the next one is given. */
  takeBook: ({ items, numbers, sides }: WiredBook): void => {
    book = moveBook(items, numbers, sides);
  },

  compile: (round: PlannedRound, setting: RoundSetting, shifts: readonly TempoShift[]) =>
    compileToPlay(round, setting, known(book), shifts),

  /** From what sessions are planned, until the next one is given. */
  ground: (ground: GroundBesideBook): void => {
    planner = sessionPlanner({ ...ground, book: known(book) });
  },

  findLines,

  compose: (wish: ComposeWish, seed: number) => compose(wish, known(book), seed),

  /** Blocks that were planned from the same ground before are known. */
  plan: (session: WrittenSession, facts: ClassFacts) => known(planner)(session, facts),
};

function known<T>(given: T | null): T {
  if (given === null) throw new Error('Nothing can be worked out before the moves of the gym are known.');
  return given;
}

export type CoreWork = typeof work;

expose(work);
