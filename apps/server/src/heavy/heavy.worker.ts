import { clipShelf, type VoiceClip } from '@eurhythm/core/calls';
import { moveBook, type Move, type NumberedMove } from '@eurhythm/core/moves';
import { compileRound, type CompiledRound, type RoundPlan } from '@eurhythm/core/rounds';
import { readFile as readGymFile, type ReadFile } from '../keep/file/readFile.ts';
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

export const readFile = ([bytes]: [Uint8Array]): ReadFile => readGymFile(bytes);

/** Opens a copy of the gym; the database that this needs is fetched when it is first asked for. */
export const checkCopy = async ([file]: [string]): Promise<void> =>
  (await import('../store/copies/checkCopy.ts')).checkCopy(file);

/** What the threads can do, by its name. */
export interface HeavyTasks {
  compile(plan: RoundPlan, book: SentBook, clips: readonly VoiceClip[]): CompiledRound;
  midi(session: RoundsToWrite): Uint8Array;
  checkCopy(file: string): Promise<void>;
  readFile(bytes: Uint8Array): ReadFile;
}
