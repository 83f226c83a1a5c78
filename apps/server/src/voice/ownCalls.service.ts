import { Injectable, NotFoundException } from '@nestjs/common';
import { VOICE_RATES, type VoiceClip } from '@eurhythm/core/calls';
import type { VoiceSound } from '@eurhythm/core/sound';
import type { OwnCallView } from '@eurhythm/contract';
import { asc, eq, inArray } from 'drizzle-orm';
import { HeavyWork } from '../heavy/heavyWork.ts';
import { refuseField } from '../http/refuse.ts';
import type { Database } from '../store/database.ts';
import { ownCalls } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { clipId } from './bundledClips.ts';
import { InjectClips } from './clips.ts';
import type { ClipFolder } from './clipFolder.ts';

const VERSION = 'own 5';

type OwnCallRow = typeof ownCalls.$inferSelect;

/** The gym's own recordings of its calls. */
@Injectable()
export class OwnCallsService {
  constructor(
    @InjectDatabase() private readonly database: Database,
    @InjectClips() private readonly folder: ClipFolder,
    private readonly heavy: HeavyWork,
  ) {}

  async list(): Promise<OwnCallView[]> {
    const rows = await this.database.select().from(ownCalls).orderBy(asc(ownCalls.text));
    return Promise.all(rows.map((row) => this.view(row)));
  }

  /** The recorded clips of these texts at every rate. */
  async clips(texts: readonly string[], sound: VoiceSound): Promise<VoiceClip[]> {
    if (texts.length === 0) return [];
    const rows = await this.database
      .select()
      .from(ownCalls)
      .where(inArray(ownCalls.text, [...texts]));
    return Promise.all(rows.flatMap((row) => VOICE_RATES.map((rate) => this.clip(row, rate, sound))));
  }

  /** Takes a recording of a call: its room turned down, trimmed, levelled, its centre found in the sound. The same file again changes nothing. */
  async record(text: string, wav: Uint8Array): Promise<OwnCallView> {
    const taken = await this.heavy.run('recordedCall', wav);
    if (!taken.ok) throw refuseField('sound', taken.message);
    const { seconds, centre, cutOff } = taken;
    const overRoom = Number.isFinite(taken.overRoom) ? taken.overRoom : null;
    const sound = Buffer.from(taken.wav).toString('base64');
    const row = { wav: sound, seconds, centre, overRoom, cutOff, updatedAt: new Date() };
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
    const { text, seconds, centre, overRoom, cutOff, updatedAt } = row;
    return {
      text,
      seconds,
      centre,
      overRoom,
      cutOff,
      updatedAt: updatedAt.toISOString(),
      clip: await this.clip(row, 1, 'room'),
    };
  }

  private async clip(row: OwnCallRow, rate: number, sound: VoiceSound): Promise<VoiceClip> {
    const { text, wav, centre } = row;
    const id = clipId(VERSION, clipId(wav), centre, rate, sound);
    const kept = await this.folder.read<VoiceClip>(id);
    if (kept) return kept;
    const { wav: faster, ...made } = await this.heavy.goOn(
      'fasterCall',
      Buffer.from(wav, 'base64'),
      centre,
      rate,
      sound,
    );
    const clip = { id, text, rate, ...made };
    await this.folder.keep(clip, faster);
    return clip;
  }
}
