import { walkStance } from '../body/index.ts';
import { comboForms, countWord, holderForms, numberWord, strokeForms } from '../calls/index.ts';
import { parseLine } from '../line/index.ts';
import type { MoveBook } from '../moves/index.ts';
import { USUAL_TIME_CALLS, type Block, type ComboBlock, type CountWords, type RoundPlan } from './block.ts';
import { intensityCall, laneForms, stageCall, switchForms } from './combo/announcements.ts';
import { countSteps, mostReps } from './counted/countSteps.ts';
import { countForms, holdForms } from './counted/layOutCounted.ts';
import { footworkAsCombo } from './footworkLine.ts';

const TIME_TEXTS = [
  'halfway',
  'ten seconds',
  'rest',
  'get ready',
  'ready',
  ...[1, 2, 3, 4, 5].map(numberWord),
];
const LEAD_TEXTS = [...switchForms('left'), ...switchForms('right'), 'switch back'];

/** Every text that the voice may have to say in these blocks, each once. */
export function wantedTexts(
  blocks: readonly Block[],
  book: MoveBook,
  count: CountWords = { language: 'english', own: [] },
  { word = '', timeCalls = USUAL_TIME_CALLS }: Pick<RoundPlan, 'word' | 'timeCalls'> = {},
): string[] {
  const texts = new Set([...TIME_TEXTS, ...LEAD_TEXTS]);
  if (timeCalls.includes('thirty')) texts.add('thirty seconds');
  if (word !== '') texts.add(word.toLowerCase());
  for (const block of blocks) {
    for (const text of countedTexts(block, book, count)) texts.add(text);
    if (block.kind === 'react' && block.call !== '') texts.add(block.call.toLowerCase());
    if (block.kind === 'footwork')
      for (const text of comboTexts(footworkAsCombo(block, book), book, count)) texts.add(text);
    if (block.kind === 'rest' && block.next !== '') texts.add(`next, ${block.next.toLowerCase()}`);
    if (block.kind === 'free') for (const prompt of block.prompts) texts.add(prompt.toLowerCase());
    if (block.kind === 'combo') for (const text of comboTexts(block, book, count)) texts.add(text);
  }
  return [...texts];
}

function* comboTexts(block: ComboBlock, book: MoveBook, count: CountWords): Generator<string> {
  yield* (block.intensity ?? []).map(intensityCall);
  if (block.calls === 'silent') return;
  for (const { group, combos } of block.lanes ?? [])
    yield* combos.flatMap((combo) => laneForms(group, combo));
  const isBuildUp = block.tempo?.kind === 'build-up';
  if (isBuildUp) yield* (['parts', 'joined', 'fast'] as const).flatMap((stage) => stageCall(stage) ?? []);
  if (block.calls === 'one-count' || isBuildUp)
    for (let n = 1; n <= block.cyclesEach; n++) yield countWord(n, count.language, count.own);
  for (const combo of block.combos) {
    yield* comboForms(combo);
    const parsed = parseLine(combo.line, book);
    const callsStrokes = block.calls !== 'lead-in' && block.calls !== 'one-count';
    if (!parsed.ok || !(callsStrokes || isBuildUp)) continue;
    for (const walked of walkStance(parsed.line, book, 'left').strokes) {
      const stroke = { ...walked, feint: walked.stroke.feint };
      if (block.calls === 'holder') yield* holderForms(stroke);
      if (block.calls !== 'holder' || isBuildUp) yield* strokeForms(stroke, book, block.words);
    }
  }
}

/** Which words are counted does not depend on the pace. */
const ANY_PACE = 1;

function* countedTexts(block: Block, book: MoveBook, count: CountWords): Generator<string> {
  if (block.kind === 'count') {
    for (const step of countSteps(block, book, ANY_PACE).steps) yield* countForms(step, block, count);
  }
  if (block.kind === 'hold') {
    yield* holdForms(block, 'first');
    if (block.sides === 'both') yield* holdForms(block, 'other');
  }
  if (block.kind !== 'condition') return;
  yield block.title.toLowerCase();
  if (block.reps === null) return;
  for (let n = 1; n <= Math.min(99, mostReps(block.reps, block.groups)); n++)
    yield countWord(n, count.language, count.own);
  for (const { group } of block.groups) yield `${group.toLowerCase()} done`;
}
