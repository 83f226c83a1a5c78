import { createHash } from 'node:crypto';
import { mkdirSync } from 'node:fs';
import { readFile, rename, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { Inject, Injectable, NotFoundException, OnModuleDestroy } from '@nestjs/common';
import { VOICE_RATES, clipShelf, type ClipShelf, type VoiceClip } from '@eurhythm/core/calls';
import { decodeWav, encodeWav, levelClip, parsePhones, vowelOnset } from '@eurhythm/core/sound';
import { Synthesiser } from './synthesiser.ts';

export const DATA_FOLDER = Symbol('data folder');
export type BundledVoice = 'slt' | 'rms';
export const DEFAULT_VOICE: BundledVoice = 'slt';

/** Raised whenever synthesis, levelling or centring changes, so that old clips are not used any more. */
const VERSION = 'flite 2.3, level 1';

/** Makes the spoken clips, keeps them in the data folder, and tells their length and centre. */
@Injectable()
export class VoiceService implements OnModuleDestroy {
  private readonly synthesiser = new Synthesiser();
  private readonly clips = new Map<string, Promise<VoiceClip | null>>();
  private readonly folder: string;

  constructor(@Inject(DATA_FOLDER) dataFolder: string) {
    this.folder = join(dataFolder, 'clips');
    mkdirSync(this.folder, { recursive: true });
  }

  onModuleDestroy(): Promise<void> {
    return this.synthesiser.stop();
  }

  /** All clips of these texts, at every rate; texts that the voice cannot say are missing from the shelf. */
  async shelf(texts: readonly string[], voice: BundledVoice): Promise<ClipShelf> {
    const asked = texts.flatMap((text) => VOICE_RATES.map((rate) => this.clip(text, voice, rate)));
    return clipShelf((await Promise.all(asked)).filter((clip) => clip !== null));
  }

  async wav(id: string): Promise<Buffer> {
    if (!/^[0-9a-f]{32}$/.test(id)) throw new NotFoundException('There is no such clip.');
    return readFile(this.file(id, 'wav')).catch(() => {
      throw new NotFoundException('There is no such clip.');
    });
  }

  private clip(text: string, voice: BundledVoice, rate: number): Promise<VoiceClip | null> {
    const id = createHash('sha256')
      .update([VERSION, voice, rate, text].join('\n'))
      .digest('hex')
      .slice(0, 32);
    let clip = this.clips.get(id);
    if (!clip) {
      clip = this.readClip(id).then((kept) => kept ?? this.makeClip(id, text, voice, rate));
      this.clips.set(id, clip);
      // A failure is told to whoever asked, and tried again by whoever asks next.
      clip.catch(() => this.clips.delete(id));
    }
    return clip;
  }

  private async readClip(id: string): Promise<VoiceClip | null> {
    const text = await readFile(this.file(id, 'json'), 'utf8').catch(() => null);
    return text === null ? null : (JSON.parse(text) as VoiceClip);
  }

  private async makeClip(
    id: string,
    text: string,
    voice: BundledVoice,
    rate: number,
  ): Promise<VoiceClip | null> {
    const spoken = await this.synthesiser.speak({ id, text, voice, rate });
    const sound = decodeWav(spoken.wav);
    if (!sound) throw new Error(`the voice gave no sound for “${text}”`);
    const levelled = levelClip(sound);
    if (!levelled) return null;
    const seconds = levelled.sound.samples.length / levelled.sound.sampleRate;
    const onset = vowelOnset(parsePhones(spoken.phones)) ?? levelled.cutBefore;
    const centre = Math.min(seconds, Math.max(0, onset - levelled.cutBefore));
    const clip: VoiceClip = { id, text, rate, seconds, centre };
    await this.keep(this.file(id, 'wav'), encodeWav(levelled.sound));
    await this.keep(this.file(id, 'json'), JSON.stringify(clip));
    return clip;
  }

  /** Writes beside the place and moves there, so that a half-written file is never read. */
  private async keep(file: string, contents: Uint8Array | string): Promise<void> {
    await writeFile(`${file}.part`, contents);
    await rename(`${file}.part`, file);
  }

  private file(id: string, ending: 'wav' | 'json'): string {
    return join(this.folder, `${id}.${ending}`);
  }
}
