import { createHash } from 'node:crypto';
import { phonesOf, plainLetters, type VoiceClip } from '@eurhythm/core/calls';
import type { VoiceSound } from '@eurhythm/core/sound';
import type { BundledVoice } from '@eurhythm/contract';
import { clearerPhones } from './clearerWords.ts';
import type { ClipFolder } from './clipFolder.ts';
import type { SpeechRequest } from './fliteWorker.ts';
import { Synthesiser } from './synthesiser.ts';

/** Raised whenever synthesis, levelling or centring changes, so that old clips are not used any more. */
const VERSION = 'flite 2.3, shape 3, level 3, phones 2, letters 1';

/** A clip of a bundled voice, with the phones that say it. */
export interface BundledClip extends VoiceClip {
  readonly phones: readonly string[];
}

export function clipId(...parts: readonly (string | number)[]): string {
  return createHash('sha256').update(parts.join('\n')).digest('hex').slice(0, 32);
}

/** Makes the clips of the bundled voices, each once, and keeps them in the clip folder. */
export class BundledClips {
  private readonly synthesiser = new Synthesiser();
  private readonly made = new Map<string, Promise<BundledClip | null>>();
  private readonly folder: ClipFolder;

  constructor(folder: ClipFolder) {
    this.folder = folder;
  }

  stop(): Promise<void> {
    return this.synthesiser.stop();
  }

  /**
   * The clip of a text, said by the gym's own phones where it has some; null when the voice has no sound for it. One that is
   * only made ahead waits for those that somebody asks for.
   */
  clip(
    text: string,
    voice: BundledVoice,
    rate: number,
    sound: VoiceSound,
    { own, isUrgent = true }: { own?: string | undefined; isUrgent?: boolean } = {},
  ): Promise<BundledClip | null> {
    const phones = own ?? phonesOf(text) ?? clearerPhones(text, voice);
    const id = clipId(VERSION, voice, sound, rate, text, ...(own === undefined ? [] : [own]));
    let clip = this.made.get(id);
    if (!clip) {
      clip = this.folder
        .read<BundledClip>(id)
        .then((kept) => kept ?? this.make({ id, text, phones, voice, rate, sound }, isUrgent));
      this.made.set(id, clip);
      // A failure is told to whoever asked, and tried again by whoever asks next.
      clip.catch(() => this.made.delete(id));
    } else if (isUrgent) this.synthesiser.hurry(id);
    return clip;
  }

  private async make(request: SpeechRequest, isUrgent: boolean): Promise<BundledClip | null> {
    const { id, text, rate } = request;
    const spoken = await this.synthesiser.speak({ ...request, text: plainLetters(text) }, isUrgent);
    if (!spoken) return null;
    const { wav, seconds, centre, phones } = spoken;
    const clip: BundledClip = { id, text, rate, seconds, centre, phones };
    await this.folder.keep(clip, wav);
    return clip;
  }
}
