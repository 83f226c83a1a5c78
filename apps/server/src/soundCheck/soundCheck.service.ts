import { Injectable } from '@nestjs/common';
import {
  ROUND_CALLS,
  clipLibrary,
  comboForms,
  numberWord,
  slowestClip,
  soundAlike,
  vocabularyOf,
} from '@eurhythm/core/calls';
import type { CallGroup, SayQuery, SoundCheckView, SpokenClipView, VoiceView } from '@eurhythm/contract';
import { CombosService } from '../combos/combos.service.ts';
import { GymService } from '../gym/gym.service.ts';
import { refuseField } from '../http/refuse.ts';
import { MovesService } from '../moves/moves.service.ts';
import { SessionsService } from '../sessions/sessions.service.ts';
import { OwnCallsService } from '../voice/ownCalls.service.ts';
import { VoiceService } from '../voice/voice.service.ts';

const NUMBERS = new Set(Array.from({ length: 100 }, (_, n) => numberWord(n)));

/** What the gym calls, how it sounds, and what can be mistaken for what. */
@Injectable()
export class SoundCheckService {
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

  /** The short calls of this gym's book that sound alike. */
  async alike(): Promise<SoundCheckView> {
    const [book, { school }] = await Promise.all([this.moves.book(), this.gym.gym()]);
    const short = [
      ...[...book.numbers.keys()].map(numberWord),
      ...[...book.moves.values()].map((move) => move.say.short),
      'switch',
    ];
    const spoken = await Promise.all(
      [...new Set(short)].map((text) => this.voices.say(text, school.voice, 1, school.voiceSound)),
    );
    const forms = spoken.flatMap((clip) => (clip ? [{ text: clip.text, phones: clip.phones }] : []));
    return { alike: soundAlike(forms).map(({ a, b }) => ({ a, b })) };
  }

  /** The clip of any text; one of a bundled voice with its phones. */
  async say({ text, voice = 'slt', rate = 1, sound: wanted }: SayQuery): Promise<SpokenClipView> {
    const sound = wanted ?? (await this.gym.gym()).school.voiceSound;
    const recorded = voice === 'own' ? await this.voices.clips([text], { voice, slowest: rate, sound }) : [];
    const clip =
      slowestClip(clipLibrary(recorded), text) ?? (await this.voices.say(text, voice, rate, sound));
    if (!clip) throw refuseField('text', `The voice has no sound for “${text}”.`);
    return clip;
  }
}
