import { walkStance } from '../../../body/index.ts';
import { stepBack } from '../../../teach/index.ts';
import { intensityPhrase } from '../../../calls/index.ts';
import { parseLine } from '../../../line/index.ts';
import type { MoveBook } from '../../../moves/index.ts';
import type { CountWords } from '../../roundSettings.ts';
import { BPM_LIMITS, numberText, type Bpm, type Seconds } from '../../../units/index.ts';
import { BY_THE_CLOCK, type BlockKind } from '../blockKind.ts';
import { wordOfCount } from '../counting.ts';
import { saidIn } from '../saidInLine.ts';
import { announcedForms, announcedIn, callsNumbers, laneForms, stageCall } from './announcements.ts';
import { USUAL_COMBO_BLOCK, type BlockCombo, type ComboBlock } from './comboBlock.ts';
import {
  fillCombos,
  handoutOfCombos,
  namedCombos,
  ownLines,
  referCombos,
  type WrittenComboBlock,
} from './fillCombos.ts';
import { lineInWords } from './lineInWords.ts';
import { layOutCombos, lengthOfCounted } from './layOutCombos.ts';
import { strokeFormsOf } from './strokeFormsOf.ts';

export const comboKind: BlockKind<ComboBlock, WrittenComboBlock> = {
  ...BY_THE_CLOCK,
  name: 'Combos',
  board: 'times',
  usual: (id) => ({ ...USUAL_COMBO_BLOCK, id, combos: [] }),
  tell: ({ combos, bpm, times }, nameOf) =>
    `${combos.map(nameOf).join(', ') || 'no combo yet'}${times ? ` · ${numberText(times)} times from each lead` : ''} · ${numberText(bpm)} a minute`,
  isCounted: ({ times = null }) => times !== null,
  callsNumbers,
  length: comboLength,
  fill: fillCombos,
  refer: referCombos,
  ofGroup: (block, group) => {
    const lane = block.lanes?.find((each) => each.group === group && each.combos.length > 0);
    return { ...block, combos: lane?.combos ?? block.combos, lanes: [] };
  },
  weighed: (block, needOf) =>
    block.order === 'by-need'
      ? { ...block, combos: block.combos.map((combo) => ({ ...combo, need: needOf(combo.id) })) }
      : block,
  bpm: ({ bpm }) => bpm,
  endBpm: ({ bpm, tempo }) =>
    tempo?.kind === 'build-up' ? tempo.fast : tempo?.kind === 'ramp' ? tempo.to : bpm,
  fastest: fastestOf,
  contact: ({ intensity = [] }) => Math.max(0, ...intensity),
  timesInARow: ({ wayBack, times, cyclesEach }) => wayBack ?? times ?? cyclesEach,
  handout: handoutOfCombos,
  worked: (block, group, { lead, book }) =>
    comboKind
      .ofGroup(block, group)
      .combos.flatMap(({ comboId, line }) =>
        comboId === undefined && line !== undefined ? [lineInWords(line, book, lead)] : [],
      ),
  named: namedCombos,
  written: ownLines,
  done: linesDone,
  combos: ({ combos, lanes = [] }) => [...combos, ...lanes.flatMap((lane) => lane.combos)],
  groups: ({ lanes = [] }) => lanes.map((lane) => lane.group),
  texts: comboTexts,
  layOut: layOutCombos,
  strikes: () => 'as-compiled',
};

/** What its shape of tempo may come to. */
function fastestOf({ bpm, tempo }: ComboBlock): Bpm {
  switch (tempo?.kind) {
    case 'ramp':
      return Math.max(bpm, tempo.to);
    case 'steps':
      return tempo.by > 0 ? BPM_LIMITS.max : bpm;
    case 'build-up':
      return Math.max(bpm, tempo.fast);
    default:
      return bpm;
  }
}

/** The lines of the combos that everybody does, those of the way back too. */
function waysOf({ combos, wayBack }: ComboBlock, book: MoveBook): string[] {
  return combos.flatMap(({ line }) => {
    const parsed = wayBack ? parseLine(line, book) : null;
    return parsed?.ok ? [line, stepBack(parsed.line, book).line] : [line];
  });
}

function linesDone(block: ComboBlock, book: MoveBook): string[] {
  return [
    ...waysOf(block, book),
    ...(block.lanes ?? []).flatMap((lane) => lane.combos.map(({ line }) => line)),
  ];
}

/** Counted times through, laid out on a clock without an end; null by the clock, or while its combos are not known. */
function comboLength(
  written: WrittenComboBlock,
  book: MoveBook,
  _factor: number,
  combos: ReadonlyMap<string, BlockCombo>,
): Seconds | null {
  const block = fillCombos(written, combos);
  return block.times ? lengthOfCounted(block, book) : null;
}

/** What a combo block may say: also that of a kind that lays itself out as combos. */
export function* comboTexts(block: ComboBlock, book: MoveBook, count: CountWords): Generator<string> {
  yield* (block.intensity ?? []).map(intensityPhrase);
  for (const combo of block.combos) yield* saidIn(combo.line, book);
  if (block.calls === 'silent') return;
  for (const { group, combos } of block.lanes ?? [])
    yield* combos.flatMap((combo) => laneForms(group, combo, book, combos));
  const isBuildUp = block.tempo?.kind === 'build-up';
  if (isBuildUp) yield* (['parts', 'joined', 'fast'] as const).flatMap((stage) => stageCall(stage) ?? []);
  if (block.calls === 'one-count' || isBuildUp)
    for (let n = 1; n <= (block.times ?? block.cyclesEach); n++)
      yield* wordOfCount(n, count) === '' ? [] : [wordOfCount(n, count)];
  for (const combo of block.combos) yield* announcedForms(combo, book, announcedIn(block));
  const formsOf = strokeFormsOf(book, block.words);
  for (const line of waysOf(block, book)) {
    const parsed = parseLine(line, book);
    const callsStrokes = block.calls !== 'lead-in' && block.calls !== 'one-count';
    if (!parsed.ok || !(callsStrokes || isBuildUp)) continue;
    for (const lead of ['left', 'right'] as const) {
      const walk = walkStance(parsed.line, book, lead);
      if (block.calls === 'holder') yield* formsOf(walk, true).flatMap(({ forms }) => forms);
      if (block.calls !== 'holder' || isBuildUp) yield* formsOf(walk, false).flatMap(({ forms }) => forms);
    }
  }
}
