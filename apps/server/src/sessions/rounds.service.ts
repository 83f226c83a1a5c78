import { PACE_FACTORS } from '@eurhythm/core/body';
import { Injectable } from '@nestjs/common';
import { ownPhones, type VoiceClip } from '@eurhythm/core/calls';
import {
  TIME_CALLS,
  blockFaults,
  combosById,
  MOST_CUES,
  cuesAtMost,
  fillBlock,
  kindOf,
  wantedTexts,
  type Block,
  type BlockCombo,
  type CountWords,
  type WrittenBlock,
} from '@eurhythm/core/rounds';
import type { RoundSetting } from '@eurhythm/core/run';
import type { VoiceSound } from '@eurhythm/core/sound';
import type { Seconds } from '@eurhythm/core/units';
import type { BlocksPlanView, CompileRoundDto, PlanBlocksDto, VoiceId } from '@eurhythm/contract';
import { CombosService } from '../combos/combos.service.ts';
import { HeavyWork } from '../heavy/heavyWork.ts';
import { GymService } from '../gym/gym.service.ts';
import { compiledJson } from '../heavy/tasks/compiledJson.ts';
import type { SessionToPlay } from '../heavy/tasks/playedSession.ts';
import { refuseField, refuseFields } from '../http/refuse.ts';
import { MovesService } from '../moves/moves.service.ts';
import { VoiceService, type Speaker } from '../voice/voice.service.ts';

/** Rounds up to this length are compiled where they are asked for: that is quicker than to send them to a thread. */
const AT_ONCE: Seconds = 300;

/** As a request asks for it, or as blocks are kept. */
type BlocksToPlan = Omit<PlanBlocksDto, 'blocks'> & {
  readonly blocks: readonly WrittenBlock[];
  readonly sound?: VoiceSound;
};

/** Blocks as they will be played, and the word of the day; empty for none. */
export interface SpokenRounds {
  readonly blocks: readonly WrittenBlock[];
  readonly word: string;
}

/** Fills blocks with the combos they name, has their words spoken, and compiles them to cues. */
@Injectable()
export class RoundsService {
  constructor(
    private readonly combos: CombosService,
    private readonly moves: MovesService,
    private readonly voice: VoiceService,
    private readonly gym: GymService,
    private readonly heavy: HeavyWork,
  ) {}

  /** The compiled round with its combos, as the JSON of a `CompiledRoundView`. */
  async compile({ lead, seed, shifts = [], ...wanted }: CompileRoundDto): Promise<Uint8Array> {
    const [{ items, numbers, sides }, { blocks, clips, count, factor }] = await Promise.all([
      this.moves.view(),
      this.plan(wanted, 'round'),
    ]);
    const { word = '', timeCalls } = wanted;
    const plan = { blocks, lead, seed, shifts, count, word, factor, ...(timeCalls ? { timeCalls } : {}) };
    const seconds = blocks.reduce((sum, block) => sum + block.seconds, 0);
    return seconds > AT_ONCE
      ? this.heavy.run('compile', plan, { items, numbers, sides }, clips)
      : compiledJson(plan, { items, numbers, sides }, clips);
  }

  /** Rounds that follow each other, with all that is needed to compile them elsewhere. */
  async toPlay<
    R extends { readonly id: string; readonly title: string; readonly blocks: readonly WrittenBlock[] },
  >(
    held: readonly R[],
    {
      seedKey,
      lead,
      word,
      voice,
      sound,
    }: Pick<RoundSetting, 'seedKey' | 'lead' | 'word'> & {
      readonly voice?: VoiceId;
      readonly sound?: VoiceSound;
    },
  ): Promise<Omit<SessionToPlay, 'title'>> {
    const [book, { blocks, ...spoken }] = await Promise.all([
      this.moves.view(),
      this.plan({
        blocks: held.flatMap((round) => round.blocks),
        word,
        timeCalls: [...TIME_CALLS],
        ...(voice ? { voice } : {}),
        ...(sound ? { sound } : {}),
      }),
    ]);
    let first = 0;
    const rounds = held.map((round) => {
      const filled = blocks.slice(first, first + round.blocks.length);
      first += round.blocks.length;
      return { ...round, written: round.blocks, blocks: filled };
    });
    return { rounds, setting: { seedKey, lead, word, ...spoken }, book };
  }

  /** What anybody needs to compile these blocks: the combos in their places, the count, and every clip they may call. */
  async plan(
    { blocks, voice, sound, word = '', timeCalls }: BlocksToPlan,
    what: keyof typeof MOST_CUES = 'session',
  ): Promise<BlocksPlanView> {
    const [book, { speaker, count }, { school }] = await Promise.all([
      this.moves.book(),
      this.speech(voice, sound),
      this.gym.gym(),
    ]);
    const filled = await this.fill(blocks, 'blocks');
    if (cuesAtMost(filled, book) > MOST_CUES[what]) throw tooManyCues(what);
    const texts = wantedTexts(filled, book, count, { word, ...(timeCalls ? { timeCalls } : {}) });
    const factor = PACE_FACTORS[school.pace];
    return { blocks: filled, count, factor, clips: await this.voice.clips(texts, speaker) };
  }

  /** Who speaks in this gym, and what is counted in. */
  private async speech(
    voice?: VoiceId,
    sound?: VoiceSound,
  ): Promise<{ speaker: Speaker; count: CountWords }> {
    const { school } = await this.gym.gym();
    return {
      speaker: {
        voice: voice ?? school.voice,
        slowest: school.voiceRate,
        sound: sound ?? school.voiceSound,
        phones: ownPhones(school.countWords),
      },
      count: { language: school.countLanguage, own: school.countWords },
    };
  }

  /** Every text that these rounds may call, each with its word of the day where there is one. */
  async texts(all: readonly SpokenRounds[]): Promise<string[]> {
    const [book, combos, { count }] = await Promise.all([
      this.moves.book(),
      this.named(all.flatMap(({ blocks }) => blocks)),
      this.speech(),
    ]);
    // A combo that is gone is reported where its session is shown; nothing of it is said.
    const texts = all.flatMap(({ blocks, word }) =>
      wantedTexts(
        blocks.map((block) => fillBlock(block, combos)),
        book,
        count,
        { word, timeCalls: TIME_CALLS },
      ),
    );
    return [...new Set(texts)];
  }

  /** Makes the clips of these rounds ahead of time, so that nobody waits for them on the Floor. */
  async warmVoice(rounds: SpokenRounds): Promise<void> {
    await this.voice.clips(await this.texts([rounds]), (await this.speech()).speaker, { isUrgent: false });
  }

  /** The clips of texts that are wanted beside those of any block. */
  async clips(texts: readonly string[]): Promise<VoiceClip[]> {
    return this.voice.clips(texts, (await this.speech()).speaker);
  }

  /**
   * The blocks with the combos that they name. Refuses what names a missing combo or holds a bad line; `under` is the path of
   * the list in the request.
   */
  async fill(blocks: readonly WrittenBlock[], under: string): Promise<Block[]> {
    const book = await this.moves.book();
    const known = await this.named(blocks);
    const faults = blocks.flatMap((block, i) =>
      blockFaults(block, known, book).map(({ field, message }) => ({
        field: `${under}.${i}.${field}`,
        message,
      })),
    );
    if (faults.length > 0) throw refuseFields(faults);
    return blocks.map((block) => fillBlock(block, known));
  }

  private async named(blocks: readonly WrittenBlock[]): Promise<Map<string, BlockCombo>> {
    const ids = blocks.flatMap((block) =>
      kindOf(block)
        .named(block)
        .map(({ comboId }) => comboId),
    );
    return combosById([...(await this.combos.some([...new Set(ids)])).values()]);
  }
}

function tooManyCues(what: keyof typeof MOST_CUES): Error {
  const most = MOST_CUES[what].toLocaleString('en');
  return refuseField(
    'blocks',
    `This ${what} asks for more than ${most} beats, strikes and calls. Make it shorter, slower, or with fewer strokes to a beat.`,
  );
}
