import type { RhythmQuery } from '@eurhythm/contract';
import type { VoiceClip } from '@eurhythm/core/calls';
import { webVtt } from '@eurhythm/core/formats';
import { clipIds } from '@eurhythm/core/run';
import { moveBook } from '@eurhythm/core/moves';
import type { RoundPlan } from '@eurhythm/core/rounds';
import { matchStrikes } from '@eurhythm/core/strikes';
import { giveWay } from '../process/giveWay.ts';
import { readFile as readGymFile, type ReadFile } from '../exchange/gymFile/readFile.ts';
import { compiledJson } from './tasks/compiledJson.ts';
import { detectedStrikes, type HeardFile } from './tasks/detectedStrikes.ts';
import { fileSounds } from './tasks/fileSounds.ts';
import { homeworkSheet } from './tasks/homeworkSheet.ts';
import { midiFile } from './tasks/midiFile.ts';
import { midiRhythm, type ReadRhythm } from './tasks/midiRhythm.ts';
import { mixPiece } from './tasks/mixPiece.ts';
import { playSession, type PlayedSession, type SentBook, type SessionToPlay } from './tasks/playedSession.ts';
import { fasterCall, recordedCall, type RecordedCall } from './tasks/recordedCall.ts';
import { soundPlan, type SoundPiece, type SoundPlan } from './tasks/soundPlan.ts';

giveWay();

const encoded = (text: string): Uint8Array => new TextEncoder().encode(text);
const captionsOf = ({ rounds }: PlayedSession): Uint8Array =>
  encoded(webVtt(rounds.map(({ at, title, round }) => ({ at, title, cues: round.cues }))));

/** A session to take home: its sheet and its captions as bytes, and what is to be mixed. */
export interface Homework {
  readonly sheet: Uint8Array;
  readonly captions: Uint8Array;
  readonly sound: SoundPlan;
}

/**
 * What the threads can do. Everything comes back as bytes to send on, or small, so that the thread that answers has nothing
 * more to do with it.
 */
const tasks = {
  compile: (plan: RoundPlan, book: SentBook, clips: readonly VoiceClip[]): Uint8Array =>
    compiledJson(plan, book, clips),
  midi: (session: SessionToPlay): Uint8Array => midiFile(playSession(session)),
  captions: (session: SessionToPlay): Uint8Array => captionsOf(playSession(session)),
  sound: (session: SessionToPlay): SoundPlan => soundPlan(playSession(session)),
  homework(session: SessionToPlay): Homework {
    const played = playSession(session);
    const { items, numbers, sides } = session.book;
    const book = moveBook(items, numbers, sides);
    return {
      sheet: encoded(homeworkSheet(played, book, session.setting.lead)),
      captions: captionsOf(played),
      sound: soundPlan(played),
    };
  },
  /** The clips that a session calls, each once. */
  usedClips: (session: SessionToPlay): string[] => [
    ...new Set(playSession(session).rounds.flatMap(({ round }) => clipIds(round))),
  ],
  fileSounds,
  mixPiece: (piece: SoundPiece, sounds: readonly Float32Array[]): Uint8Array => mixPiece(piece, sounds),
  rhythm: (bytes: Uint8Array, how: RhythmQuery): ReadRhythm => midiRhythm(bytes, how),
  recordedCall: (wav: Uint8Array): RecordedCall => recordedCall(wav),
  fasterCall,
  matchStrikes,
  detectedStrikes: (wav: Uint8Array): HeardFile => detectedStrikes(wav),
  readFile: (bytes: Uint8Array): ReadFile => readGymFile(bytes),
  /** Opens a copy of the gym; the database that this needs is fetched when it is first asked for. */
  checkCopy: async (file: string): Promise<void> =>
    (await import('../store/copies/checkCopy.ts')).checkCopy(file),
};

export type HeavyTasks = typeof tasks;

/** Called by the pool with the name of a task and its arguments. */
export default function work<N extends keyof HeavyTasks>({
  name,
  args,
}: {
  readonly name: N;
  readonly args: Parameters<HeavyTasks[N]>;
}): unknown {
  return (tasks[name] as (...given: Parameters<HeavyTasks[N]>) => unknown)(...args);
}
