import { Injectable, NotFoundException } from '@nestjs/common';
import { VOICE_RATES, type VoiceClip } from '@eurhythm/core/calls';
import {
  encodeWav,
  findCentre,
  levelClip,
  readWav,
  resample,
  stretch,
  type Sound,
} from '@eurhythm/core/sound';
import { OWN_CALL_LIMITS, type OwnCallView } from '@eurhythm/contract';
import { asc, eq, inArray } from 'drizzle-orm';
import { refuseField } from '../house/refuse.ts';
import type { Database } from '../store/database.ts';
import { ownCalls } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { clipId } from './bundledClips.ts';
import { InjectClips } from './clips.ts';
import type { ClipFolder } from './clipFolder.ts';

/** Recordings are kept at this rate: twice what speech needs, half of what a studio uses. */
const KEPT_RATE = 22_050;
const VERSION = 'own 1';
/** A file may be so many times as long as the call in it. */
const LONGEST_FILE = 3;

const tooLong = (seconds: number): string =>
  `A call is at most ${OWN_CALL_LIMITS.seconds} seconds long; this one is ${Math.round(seconds)}.`;

type OwnCallRow = typeof ownCalls.$inferSelect;

/** The gym's own recordings of its calls. */
@Injectable()
export class OwnCallsService {
  constructor(
    @InjectDatabase() private readonly database: Database,
    @InjectClips() private readonly folder: ClipFolder,
  ) {}

  async list(): Promise<OwnCallView[]> {
    const rows = await this.database.select().from(ownCalls).orderBy(asc(ownCalls.text));
    return Promise.all(rows.map((row) => this.view(row)));
  }

  /** The recorded clips of these texts at every rate. */
  async clips(texts: readonly string[]): Promise<VoiceClip[]> {
    if (texts.length === 0) return [];
    const rows = await this.database
      .select()
      .from(ownCalls)
      .where(inArray(ownCalls.text, [...texts]));
    const clips = await Promise.all(rows.flatMap((row) => VOICE_RATES.map((rate) => this.clip(row, rate))));
    return clips;
  }

  /** Takes a recording of a call: trimmed, levelled, its centre found in the sound. The same file again changes nothing. */
  async record(text: string, wav: Uint8Array): Promise<OwnCallView> {
    const read = readWav(wav);
    if (!read.ok) throw refuseField('sound', read.message);
    const seconds = read.sound.samples.length / read.sound.sampleRate;
    // Silence around a call is cut away later; a recording that is far too long is not looked into.
    if (seconds > OWN_CALL_LIMITS.seconds * LONGEST_FILE) throw refuseField('sound', tooLong(seconds));
    const levelled = levelClip(read.sound);
    if (!levelled)
      throw refuseField('sound', 'Nothing can be heard in this recording. Speak closer to the microphone.');
    const sound = resample(levelled.sound, KEPT_RATE);
    const length = sound.samples.length / sound.sampleRate;
    if (length > OWN_CALL_LIMITS.seconds) throw refuseField('sound', tooLong(Math.max(length, seconds)));
    const row = {
      wav: Buffer.from(encodeWav(sound)).toString('base64'),
      seconds: length,
      centre: findCentre(sound) ?? 0,
      updatedAt: new Date(),
    };
    const [before] = await this.database.select().from(ownCalls).where(eq(ownCalls.text, text));
    if (before?.wav !== row.wav) {
      await this.database
        .insert(ownCalls)
        .values({ text, ...row })
        .onConflictDoUpdate({ target: ownCalls.text, set: row });
    }
    return this.one(text);
  }

  async setCentre(text: string, centre: number): Promise<OwnCallView> {
    const { seconds } = await this.one(text);
    if (centre > seconds) throw refuseField('sound', `This call is only ${seconds.toFixed(2)} seconds long.`);
    await this.database.update(ownCalls).set({ centre }).where(eq(ownCalls.text, text));
    return this.one(text);
  }

  async remove(text: string): Promise<void> {
    await this.database.delete(ownCalls).where(eq(ownCalls.text, text));
  }

  private async one(text: string): Promise<OwnCallView> {
    const [row] = await this.database.select().from(ownCalls).where(eq(ownCalls.text, text));
    if (!row) throw new NotFoundException('This call has not been recorded.');
    return this.view(row);
  }

  private async view(row: OwnCallRow): Promise<OwnCallView> {
    const { text, seconds, centre, updatedAt } = row;
    return { text, seconds, centre, updatedAt: updatedAt.toISOString(), clip: await this.clip(row, 1) };
  }

  private async clip(row: OwnCallRow, rate: number): Promise<VoiceClip> {
    const { text, wav, centre } = row;
    const id = clipId(VERSION, clipId(wav), centre, rate);
    const kept = await this.folder.read<VoiceClip>(id);
    if (kept) return kept;
    const faster = stretch(soundOf(wav), rate);
    const seconds = faster.samples.length / faster.sampleRate;
    const clip = { id, text, rate, seconds, centre: Math.min(seconds, centre / rate) };
    await this.folder.keep(clip, encodeWav(faster));
    return clip;
  }
}

function soundOf(wav: string): Sound {
  const read = readWav(Buffer.from(wav, 'base64'));
  if (!read.ok) throw new Error(`a kept recording cannot be read: ${read.message}`);
  return read.sound;
}
