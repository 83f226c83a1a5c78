import { countWord, numberWord } from '../../calls/index.ts';
import type { Seconds } from '../../units/index.ts';
import type { ConditionBlock, CountBlock, CountWords, HoldBlock } from '../block.ts';
import type { BlockTime, RoundGround } from '../combo/layOutCombos.ts';
import type { Cue, Layout } from '../cue.ts';
import { COUNT_OPENING, countSteps, holdStarts, mostReps, type CountStep } from './countSteps.ts';

/** Count words are followed at club pace (engine: pace factors), unless the block sets its own time. */
const CLUB_PACE = 1.25;
/** The end of a hold is counted down from here. */
const COUNTED_DOWN = 5;

function wordOf(n: number, { language, own }: CountWords): string {
  return n <= 99 ? countWord(n, language, own) : '';
}

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
      const word = wordOf(step.n, count);
      if (word === '') return [];
      const level = step.level === null ? [] : [`${word}, ${step.level}`];
      return step.isLast && block.shoutLast ? [`${word}, shout`, ...level, word] : [...level, word];
    }
    case 'group-done':
      return [`${step.group.toLowerCase()} done`];
    case 'rest':
      return ['rest'];
    default:
      return step satisfies never;
  }
}

/** Technique on the count: each repetition, or each of its parts, on its own word. */
export function layOutCount(
  block: CountBlock,
  { from, to }: BlockTime,
  { book, count, layout }: RoundGround,
): void {
  for (const step of countSteps(block, book, CLUB_PACE).steps) {
    const at = from + step.at;
    if (at >= to - 0.2) break;
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

export function holdForms(block: HoldBlock, side: 'first' | 'other' | null): string[] {
  const name = block.title.toLowerCase();
  return side === 'other' ? [`${name}, other side`, 'other side'] : [name];
}

/** A stretch or stance: named, held, its last five seconds counted. */
export function layOutHold(block: HoldBlock, { from, to }: BlockTime, { layout }: RoundGround): void {
  for (const { at, side } of holdStarts(block)) {
    const start = from + at;
    if (start >= to) break;
    say(layout, block.id, holdForms(block, side), start - COUNT_OPENING + 0.2, 'combo', 1.5);
    layout.cues.push({ at: start, kind: 'count', text: 'hold', block: block.id, sound: 'count-in' });
    // A block that is too short for its hold ends it.
    const end = Math.min(to, start + block.holdSeconds);
    for (let left = Math.min(COUNTED_DOWN, Math.floor(end - start) - 1); left >= 1; left--) {
      layout.calls.push({
        forms: [numberWord(left)],
        priority: 'count',
        place: { kind: 'centre', at: end - left },
        cue: { kind: 'count', block: block.id, sound: 'last-five' },
      });
    }
  }
}

/** An exercise: named, then counted, or left to the clock. */
export function layOutCondition(
  block: ConditionBlock,
  { from, to }: BlockTime,
  { count, layout }: RoundGround,
): void {
  say(layout, block.id, [block.title.toLowerCase()], from + 1, 'combo', 2);
  if (block.reps === null) return;
  const most = mostReps(block.reps, block.groups);
  for (let rep = 1; rep <= most; rep++) {
    const at = from + COUNT_OPENING + (rep - 1) * block.repSeconds;
    if (at >= to - 0.2) break;
    layout.cues.push({ at, kind: 'tick', text: String(rep), block: block.id, sound: 'tick-beat' });
    const word = wordOf(rep, count);
    if (word !== '')
      layout.calls.push({
        forms: [word],
        priority: 'count',
        place: { kind: 'centre', at },
        cue: { kind: 'call', block: block.id },
      });
    for (const { group, reps } of block.groups)
      if (reps === rep && reps < most)
        say(layout, block.id, [`${group.toLowerCase()} done`], at + 0.3, 'prompt', block.repSeconds);
  }
}

function say(
  layout: Layout,
  block: string,
  forms: readonly string[],
  at: Seconds,
  priority: 'combo' | 'prompt',
  slack: Seconds,
): void {
  layout.calls.push({
    forms,
    priority,
    place: { kind: 'start', at: Math.max(0, at), latest: Math.max(0, at) + slack },
    cue: { kind: 'call', block },
  });
}
