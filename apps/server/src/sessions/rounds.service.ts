import { PACE_FACTORS } from '@eurhythm/core/body';
import { Injectable } from '@nestjs/common';
import { ownPhones, type VoiceClip } from '@eurhythm/core/calls';
import {
  TIME_CALLS,
  blockFaults,
  combosById,
  combosOf,
  compileRound,
  fillBlock,
  kindOf,
  wantedTexts,
  type Block,
  type BlockCombo,
  type CountWords,
  type WrittenBlock,
} from '@eurhythm/core/rounds';
import { clipShelf } from '@eurhythm/core/calls';
import { moveBook } from '@eurhythm/core/moves';
import type { Seconds } from '@eurhythm/core/units';
import type {
  BlocksPlanView,
  CompileRoundDto,
  CompiledRoundView,
  PlanBlocksDto,
  VoiceId,
} from '@eurhythm/contract';
import { CombosService } from '../combos/combos.service.ts';
import { HeavyWork } from '../heavy/heavyWork.ts';
import { GymService } from '../gym/gym.service.ts';
import { refuseFields } from '../house/refuse.ts';
import { MovesService } from '../moves/moves.service.ts';
import { VoiceService, type Speaker } from '../voice/voice.service.ts';

/** Rounds up to this length are compiled where they are asked for: that is quicker than to send them to a thread. */
const AT_ONCE: Seconds = 300;

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

  async compile({ lead, seed, shifts = [], ...wanted }: CompileRoundDto): Promise<CompiledRoundView> {
    const [{ items, numbers }, { blocks, clips, count, factor }] = await Promise.all([
      this.moves.view(),
      this.plan(wanted),
    ]);
    const book = moveBook(items, numbers);
    const { word = '', timeCalls } = wanted;
    const plan = { blocks, lead, seed, shifts, count, word, factor, ...(timeCalls ? { timeCalls } : {}) };
    const seconds = blocks.reduce((sum, block) => sum + block.seconds, 0);
    const compiled =
      seconds > AT_ONCE
        ? await this.heavy.run('compile', plan, { items, numbers }, clips)
        : compileRound(plan, book, clipShelf(clips));
    return { ...compiled, combos: combosOf(blocks, book) };
  }

  /** What anybody needs to compile these blocks: the combos in their places, the count, and every clip they may call. */
  async plan({ blocks, voice, word = '', timeCalls }: PlanBlocksDto): Promise<BlocksPlanView> {
    const [book, { speaker, count }, { school }] = await Promise.all([
      this.moves.book(),
      this.speech(voice),
      this.gym.gym(),
    ]);
    const filled = await this.fill(blocks, 'blocks');
    const texts = wantedTexts(filled, book, count, { word, ...(timeCalls ? { timeCalls } : {}) });
    const factor = PACE_FACTORS[school.pace];
    return { blocks: filled, count, factor, clips: await this.voice.clips(texts, speaker) };
  }

  /** Who speaks in this gym, and what is counted in. */
  private async speech(voice?: VoiceId): Promise<{ speaker: Speaker; count: CountWords }> {
    const { school } = await this.gym.gym();
    return {
      speaker: {
        voice: voice ?? school.voice,
        slowest: school.voiceRate,
        phones: ownPhones(school.countWords),
      },
      count: { language: school.countLanguage, own: school.countWords },
    };
  }

  /** Every text that these blocks may call, with the word of the day where there is one. */
  async texts(blocks: readonly WrittenBlock[], word = ''): Promise<string[]> {
    const [book, known] = await Promise.all([this.moves.book(), this.named(blocks)]);
    const { count } = await this.speech();
    // A combo that is gone is told where its session is shown; nothing of it is said.
    const filled = blocks.map((block) => fillBlock(block, known));
    return wantedTexts(filled, book, count, { word, timeCalls: TIME_CALLS });
  }

  /** Makes the clips of these blocks ahead of time, so that nobody waits for them on the Floor. */
  async warmVoice(blocks: readonly WrittenBlock[], word: string): Promise<void> {
    await this.voice.clips(await this.texts(blocks, word), (await this.speech()).speaker, {
      isUrgent: false,
    });
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
