import { Injectable, NotFoundException, OnModuleDestroy } from '@nestjs/common';
import { VOICE_RATES, type VoiceClip } from '@eurhythm/core/calls';
import type { VoiceSound } from '@eurhythm/core/sound';
import { DEFAULT_VOICE, type BundledVoice, type VoiceId } from '@eurhythm/contract';
import { BundledClips, type BundledClip } from './bundledClips.ts';
import type { ClipFolder } from './clipFolder.ts';
import { InjectClips } from './clips.ts';
import { OwnCallsService } from './ownCalls.service.ts';

/** Which voice speaks, and how slowly at the least. */
export interface Speaker {
  readonly voice: VoiceId;
  readonly slowest: number;
  readonly sound: VoiceSound;
  /** Phones of the gym's own words. */
  readonly phones?: ReadonlyMap<string, string>;
}

/** Gives the spoken clips of any voice. */
@Injectable()
export class VoiceService implements OnModuleDestroy {
  private readonly bundled: BundledClips;

  constructor(
    @InjectClips() private readonly folder: ClipFolder,
    private readonly own: OwnCallsService,
  ) {
    this.bundled = new BundledClips(folder);
  }

  onModuleDestroy(): Promise<void> {
    return this.bundled.stop();
  }

  /**
   * All clips of these texts, from the speaker's slowest rate on; texts that the voice cannot say have none. What the own voice lacks is said by a bundled one.
   */
  async clips(
    texts: readonly string[],
    { voice, slowest, sound, phones }: Speaker,
    { isUrgent }: { isUrgent: boolean } = { isUrgent: true },
  ): Promise<VoiceClip[]> {
    const recorded = voice === 'own' ? await this.own.clips(texts, sound) : [];
    const has = new Set(recorded.map((clip) => clip.text));
    const rates = VOICE_RATES.filter((rate) => rate >= slowest);
    const made = await Promise.all(
      texts
        .filter((text) => !has.has(text))
        .flatMap((text) =>
          rates.map((rate) =>
            this.bundled.clip(text, bundledOf(voice), rate, sound, { own: phones?.get(text), isUrgent }),
          ),
        ),
    );
    return [
      ...recorded.filter((clip) => clip.rate >= slowest),
      ...made.flatMap((clip) => (clip ? [clipOnly(clip)] : [])),
    ];
  }

  /** One clip of a bundled voice, with its phones. */
  say(
    text: string,
    voice: VoiceId,
    rate: number,
    sound: VoiceSound,
    { isUrgent }: { isUrgent: boolean } = { isUrgent: true },
  ): Promise<BundledClip | null> {
    return this.bundled.clip(text, bundledOf(voice), rate, sound, { isUrgent });
  }

  /** The WAV file of a clip. */
  file(id: string): string {
    return this.folder.file(id, 'wav');
  }

  async wav(id: string): Promise<Buffer> {
    const wav = await this.folder.wav(id);
    if (!wav) throw new NotFoundException('There is no such clip.');
    return wav;
  }
}

/** A clip without what only its making needed. */
function clipOnly({ id, text, rate, seconds, centre }: BundledClip): VoiceClip {
  return { id, text, rate, seconds, centre };
}

/** What the coach's own voice has not recorded is said by the usual one. */
function bundledOf(voice: VoiceId): BundledVoice {
  return voice === 'own' ? DEFAULT_VOICE : voice;
}
