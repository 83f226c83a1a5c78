import type { Cue } from '../../cue.ts';
import type { BlockTime, LayOutContext } from '../../layOutContext.ts';
import { TIME_PHRASES, groupDonePhrase, shoutPhrase } from '../../../calls/index.ts';
import type { CountWords } from '../../roundSettings.ts';
import { BEFORE_BLOCK_ENDS, COUNT_PACE, wordOfCount } from '../counting.ts';
import type { CountBlock } from './countBlock.ts';
import { countSteps, type CountStep } from './countSteps.ts';

/** What is said at a step; empty when nothing is. Forms longest first. */
export function countForms(step: CountStep, block: CountBlock, count: CountWords): string[] {
  switch (step.kind) {
    case 'open': {
      const side = step.side === null ? '' : step.side === 'first' ? ', first side' : ', other side';
      const stance = block.from === 'standing' ? '' : `, ${block.from}`;
      return [
        `${block.title.toLowerCase()}${stance}${side}`,
        step.side === 'other' ? 'other side' : block.title.toLowerCase(),
      ];
    }
    case 'count': {
      const word = wordOfCount(step.n, count);
      if (word === '') return [];
      const level = step.level === null ? [] : [`${word}, ${step.level}`];
      return step.isLast && block.shoutLast ? [shoutPhrase(word), ...level, word] : [...level, word];
    }
    case 'group-done':
      return [groupDonePhrase(step.group)];
    case 'rest':
      return [TIME_PHRASES.rest];
    default:
      return step satisfies never;
  }
}

/** Technique on the count: each repetition, or each of its parts, on its own word. */
export function layOutCount(
  block: CountBlock,
  { from, to }: BlockTime,
  { book, count, layout }: LayOutContext,
): void {
  for (const step of countSteps(block, book, COUNT_PACE).steps) {
    const at = from + step.at;
    if (at >= to - BEFORE_BLOCK_ENDS) break;
    const forms = countForms(step, block, count);
    if (step.kind === 'count') {
      const text = String(step.n);
      layout.cues.push({
        at,
        kind: 'tick',
        text,
        block: block.id,
        sound: step.n === 1 ? 'tick-bar' : 'tick-beat',
      });
    }
    if (forms.length === 0) continue;
    const kind: Cue['kind'] = step.kind === 'count' ? 'call' : step.kind === 'group-done' ? 'call' : 'time';
    layout.calls.push({
      forms,
      priority: step.kind === 'count' ? 'count' : step.kind === 'group-done' ? 'prompt' : 'combo',
      place: step.kind === 'count' ? { kind: 'centre', at } : { kind: 'start', at: at + 0.1, latest: at + 2 },
      cue: { kind, block: block.id },
    });
  }
}
