import { walkStance } from '../body/index.ts';
import { comboForms, holderForms, numberWord, strokeForms } from '../calls/index.ts';
import { parseLine } from '../line/index.ts';
import type { MoveBook } from '../moves/index.ts';
import type { Block } from './block.ts';

const TIME_TEXTS = [
  'halfway',
  'ten seconds',
  'rest',
  'get ready',
  'ready',
  ...[1, 2, 3, 4, 5].map(numberWord),
];
const LEAD_TEXTS = ['switch, left lead', 'switch, right lead', 'switch back', 'switch'];

/** Every text that the voice may have to say in these blocks, each once. */
export function wantedTexts(blocks: readonly Block[], book: MoveBook): string[] {
  const texts = new Set([...TIME_TEXTS, ...LEAD_TEXTS]);
  for (const block of blocks) {
    if (block.kind === 'rest' && block.next !== '') texts.add(`next, ${block.next.toLowerCase()}`);
    if (block.kind === 'free') for (const prompt of block.prompts) texts.add(prompt.toLowerCase());
    if (block.kind !== 'combo' || block.calls === 'silent') continue;
    for (const combo of block.combos) {
      for (const form of comboForms(combo)) texts.add(form);
      const parsed = parseLine(combo.line, book);
      if (!parsed.ok || block.calls === 'lead-in') continue;
      if (block.calls === 'one-count') {
        for (let n = 1; n <= block.cyclesEach; n++) texts.add(numberWord(n));
        continue;
      }
      for (const walked of walkStance(parsed.line, book, 'left').strokes) {
        const stroke = { ...walked, feint: walked.stroke.feint };
        const forms = block.calls === 'holder' ? holderForms(stroke) : strokeForms(stroke, book, block.words);
        for (const form of forms) texts.add(form);
      }
    }
  }
  return [...texts];
}
