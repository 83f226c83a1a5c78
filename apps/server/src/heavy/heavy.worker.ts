import { clipShelf, type VoiceClip } from '@eurhythm/core/calls';
import { moveBook, type Move, type NumberedMove } from '@eurhythm/core/moves';
import { compileRound, type CompiledRound, type RoundPlan } from '@eurhythm/core/rounds';
import { midiFile, type RoundsToWrite } from './midiFile.ts';

/** The book as it is sent to a thread. */
export interface SentBook {
  readonly items: readonly Move[];
  readonly numbers: readonly NumberedMove[];
}

/** Each task is called by the pool with the list of its arguments. */
export const compile = ([plan, book, clips]: [RoundPlan, SentBook, readonly VoiceClip[]]): CompiledRound =>
  compileRound(plan, moveBook(book.items, book.numbers), clipShelf(clips));

export const midi = ([session]: [RoundsToWrite]): Uint8Array => midiFile(session);

/** What the threads can do, by its name. */
export interface HeavyTasks {
  compile(plan: RoundPlan, book: SentBook, clips: readonly VoiceClip[]): CompiledRound;
  midi(session: RoundsToWrite): Uint8Array;
}
