import { Injectable, type OnModuleDestroy } from '@nestjs/common';
import {
  ROUND_CALLS,
  clipLibrary,
  comboForms,
  numberWord,
  slowestClip,
  vocabularyOf,
  wordsInstead,
} from '@eurhythm/core/calls';
import {
  DEFAULT_VOICE,
  type CallGroup,
  type SayQuery,
  type SoundCheckView,
  type SpokenClipView,
  type VoiceView,
} from '@eurhythm/contract';
import { CombosService } from '../combos/combos.service.ts';
import { GymService } from '../gym/gym.service.ts';
import { refuseField } from '../http/refuse.ts';
import { MovesService } from '../moves/moves.service.ts';
import { SessionsService } from '../sessions/sessions.service.ts';
import type { BundledClip } from '../voice/bundledClips.ts';
import { OwnCallsService } from '../voice/ownCalls.service.ts';
import { VoiceService } from '../voice/voice.service.ts';
import { Listener } from './listener.ts';

const NUMBERS = new Set(Array.from({ length: 100 }, (_, n) => numberWord(n)));

/** What the gym calls, how it sounds, and what can be mistaken for what. */
@Injectable()
export class SoundCheckService implements OnModuleDestroy {
  private readonly listener = new Listener();

  constructor(
    private readonly moves: MovesService,
    private readonly combos: CombosService,
    private readonly sessions: SessionsService,
    private readonly own: OwnCallsService,
    private readonly voices: VoiceService,
    private readonly gym: GymService,
  ) {}

  async voice(): Promise<VoiceView> {
    const [book, combos, sessionTexts, recorded] = await Promise.all([
      this.moves.book(),
      this.combos.list(),
      this.sessions.texts(),
      this.own.list(),
    ]);
    const groups = new Map<string, CallGroup>();
    const add = (texts: Iterable<string>, group: CallGroup | null): void => {
      for (const text of texts)
        if (!groups.has(text)) groups.set(text, group ?? (NUMBERS.has(text) ? 'numbers' : 'moves'));
    };
    add(ROUND_CALLS, 'rounds');
    add(vocabularyOf(book), null);
    add(
      combos.flatMap((combo) => comboForms(combo)),
      'combos',
    );
    add(sessionTexts, 'prompts');
    add(
      recorded.map(({ text }) => text),
      'prompts',
    );
    const ownOf = new Map(recorded.map((call) => [call.text, call]));
    return { calls: [...groups].map(([text, group]) => ({ text, group, own: ownOf.get(text) ?? null })) };
  }

  /** What a listener in a loud hall makes out of all that this gym calls; he begins when he is asked for, and goes on by himself. */
  async check(): Promise<SoundCheckView> {
    const [book, { school }, { calls }] = await Promise.all([
      this.moves.book(),
      this.gym.gym(),
      this.voice(),
    ]);
    const { voice, voiceSound } = school;
    // The shorter a call the sooner it is mistaken, and the sooner it is listened to.
    const texts = calls.map(({ text }) => text).sort((a, b) => a.length - b.length);
    const recorded = clipLibrary(voice === 'own' ? await this.own.clips(texts, voiceSound) : []);
    const say = (text: string): Promise<BundledClip | null> =>
      this.voices.say(text, voice, 1, voiceSound, { isUrgent: false });
    return this.listener.listen({
      key: JSON.stringify([voice, voiceSound, texts.map((text) => [text, slowestClip(recorded, text)?.id])]),
      texts,
      spoken: async (text) => {
        const clip = slowestClip(recorded, text) ?? (await say(text));
        return clip && { text, wav: this.voices.file(clip.id) };
      },
      phones: async (word) => (await say(word))?.phones ?? null,
      instead: (text) => wordsInstead(text, book),
    });
  }

  onModuleDestroy(): void {
    this.listener.stop();
  }

  /** The clip of any text; one of a bundled voice with its phones. */
  async say({ text, voice = DEFAULT_VOICE, rate = 1, sound: wanted }: SayQuery): Promise<SpokenClipView> {
    const sound = wanted ?? (await this.gym.gym()).school.voiceSound;
    const recorded = voice === 'own' ? await this.voices.clips([text], { voice, slowest: rate, sound }) : [];
    const clip =
      slowestClip(clipLibrary(recorded), text) ?? (await this.voices.say(text, voice, rate, sound));
    if (!clip) throw refuseField('text', `The voice has no sound for “${text}”.`);
    return clip;
  }
}
