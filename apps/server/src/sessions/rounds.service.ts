import { Injectable, UnprocessableEntityException } from '@nestjs/common';
import { ownPhones } from '@eurhythm/core/calls';
import { parseLine } from '@eurhythm/core/line';
import type { MoveBook } from '@eurhythm/core/moves';
import {
  TIME_CALLS,
  compileRound,
  wantedTexts,
  type Block,
  type BlockCombo,
  type CountWords,
} from '@eurhythm/core/rounds';
import { comboRefs, plannedCombo } from '@eurhythm/contract';
import type {
  AnyBlockDto,
  ComboRefDto,
  ComboView,
  CompileRoundDto,
  CompiledRoundView,
  FieldError,
  VoiceId,
} from '@eurhythm/contract';
import { CombosService } from '../combos/combos.service.ts';
import { GymService } from '../gym/gym.service.ts';
import { MovesService } from '../moves/moves.service.ts';
import { VoiceService, type Speaker } from '../voice/voice.service.ts';

/** Fills blocks with the combos they name, and compiles them to cues. */
@Injectable()
export class RoundsService {
  constructor(
    private readonly combos: CombosService,
    private readonly moves: MovesService,
    private readonly voice: VoiceService,
    private readonly gym: GymService,
  ) {}

  async compile({
    blocks,
    lead,
    seed,
    voice,
    shifts,
    word = '',
    timeCalls,
  }: CompileRoundDto): Promise<CompiledRoundView> {
    const book = await this.moves.book();
    const filled = await this.fill(blocks, book);
    const { speaker, count } = await this.speech(voice);
    const shelf = await this.voice.shelf(
      wantedTexts(filled, book, count, { word, ...(timeCalls ? { timeCalls } : {}) }),
      speaker,
    );
    const combos = filled.flatMap((block) =>
      block.kind === 'combo' ? [...block.combos, ...(block.lanes ?? []).flatMap((lane) => lane.combos)] : [],
    );
    return {
      ...compileRound(
        {
          blocks: filled,
          lead,
          seed,
          shifts: shifts ?? [],
          count,
          word,
          ...(timeCalls ? { timeCalls } : {}),
        },
        book,
        shelf,
      ),
      combos,
    };
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
  async texts(blocks: readonly AnyBlockDto[], word = ''): Promise<string[]> {
    const book = await this.moves.book();
    const { count } = await this.speech();
    return wantedTexts(await this.fill(blocks, book), book, count, { word, timeCalls: TIME_CALLS });
  }

  /** Makes the clips of these blocks ahead of time, so that nobody waits for them on the Floor. */
  async warmVoice(blocks: readonly AnyBlockDto[], word: string): Promise<void> {
    await this.voice.shelf(await this.texts(blocks, word), (await this.speech()).speaker, {
      isUrgent: false,
    });
  }

  /** Refuses blocks that name a missing combo or hold a bad line; `under` is the path of the list in the request. */
  async mustFill(blocks: readonly AnyBlockDto[], under: string): Promise<void> {
    await this.fill(blocks, await this.moves.book(), under);
  }

  private async fill(blocks: readonly AnyBlockDto[], book: MoveBook, under = 'blocks'): Promise<Block[]> {
    const ids = blocks
      .flatMap((block) => (block.kind === 'combo' ? comboRefs(block) : []))
      .flatMap((ref) => ref.comboId ?? []);
    const known = await this.combos.some([...new Set(ids)]);
    const faults: FieldError[] = [];
    const tellWait = (field: string): void => {
      faults.push({ field, message: 'The longest wait is shorter than the shortest one.' });
    };
    const tellLine = (line: string, field: string): void => {
      const parsed = parseLine(line, book);
      if (!parsed.ok) faults.push({ field, message: parsed.errors[0]!.message });
    };
    const filled = blocks.map((block, i): Block => {
      switch (block.kind) {
        case 'combo': {
          const fillAll = (refs: readonly ComboRefDto[], field: string): BlockCombo[] =>
            refs.flatMap((ref, j) => {
              const found = fillCombo(ref, `${block.id}-${j}`, known, book);
              if (typeof found !== 'string') return found;
              faults.push({ field: `${field}.combos.${j}`, message: found });
              return [];
            });
          const combos = fillAll(block.combos, `${under}.${i}`);
          const lanes = (block.lanes ?? []).map((lane, j) => ({
            group: lane.group,
            combos: fillAll(lane.combos, `${under}.${i}.lanes.${j}`),
          }));
          if (block.gaps?.kind === 'random' && block.gaps.max < block.gaps.min) {
            tellWait(`${under}.${i}.gaps.max`);
          }
          return { ...block, combos, lanes };
        }
        case 'free':
          if (block.every.max < block.every.min) {
            tellWait(`${under}.${i}.every.max`);
          }
          return block;
        case 'rest':
          return { ...block, next: block.next ?? '' };
        case 'count':
          tellLine(block.line, `${under}.${i}.line`);
          return block;
        case 'react':
          tellLine(block.line, `${under}.${i}.line`);
          if (block.every.max < block.every.min) tellWait(`${under}.${i}.every.max`);
          return block;
        case 'footwork':
          for (const part of ['there', 'back'] as const) tellLine(block[part], `${under}.${i}.${part}`);
          if (block.strike !== '') tellLine(block.strike, `${under}.${i}.strike`);
          return block;
        case 'burst':
        case 'hold':
        case 'condition':
        case 'talk':
          return block;
        default:
          return block satisfies never;
      }
    });
    if (faults.length > 0)
      throw new UnprocessableEntityException({ message: faults[0]!.message, errors: faults });
    return filled;
  }
}

/** The combo a reference stands for, or a sentence that says what is wrong with it. */
function fillCombo(
  ref: ComboRefDto,
  id: string,
  known: ReadonlyMap<string, ComboView>,
  book: MoveBook,
): BlockCombo | string {
  const combo = plannedCombo(ref, id, known);
  if (!combo) return 'This combo is not in the book any more. Choose another one.';
  if (ref.comboId !== undefined) return combo;
  const parsed = parseLine(combo.line, book);
  return parsed.ok ? combo : parsed.errors[0]!.message;
}
