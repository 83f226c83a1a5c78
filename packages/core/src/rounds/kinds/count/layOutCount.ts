import { otherLead, type Lead } from '../../../moves/index.ts';
import { beatSeconds, toNumber, type Seconds } from '../../../units/index.ts';
import type { Cue } from '../../cue.ts';
import type { BlockTime, LayOutContext } from '../../layOutContext.ts';
import { TIME_PHRASES, groupDoneForms, intensityPhrase, shoutPhrase } from '../../../calls/index.ts';
import type { CountWords } from '../../roundSettings.ts';
import { LANE_OPENING, taskForms, tasksOf } from '../groupTasks.ts';
import {
  BEFORE_BLOCK_ENDS,
  sideOfLine,
  sidePhrase,
  tellCut,
  tellWordsEnd,
  wordOfCount,
} from '../counting.ts';
import type { CountBlock, CountSpeed } from './countBlock.ts';
import { saidBeats, sayInLine } from '../saidInLine.ts';
import { LINE_BPM, countSteps, type CountStep } from './countSteps.ts';

/** How the speed of a set is said. */
const SPEED_WORDS: Readonly<Record<CountSpeed, string>> = {
  slow: 'slow',
  usual: 'usual speed',
  full: 'full speed',
};

/** A new speed and a new contact, as they are said. */
function changeWords({
  speed,
  contact,
}: Pick<Extract<CountStep, { kind: 'change' }>, 'speed' | 'contact'>): string {
  const words = [
    ...(speed === null ? [] : [SPEED_WORDS[speed]]),
    ...(contact === null ? [] : [intensityPhrase(contact)]),
  ];
  return words.join(', ');
}

/** What is said at a step; empty when nothing is. Forms longest first. */
export function countForms(
  step: CountStep,
  block: CountBlock,
  count: CountWords,
  first: Lead | null,
): string[] {
  switch (step.kind) {
    case 'open': {
      const side = step.side === null ? '' : `, ${sidePhrase(step.side, first)}`;
      const stance = block.from === 'standing' ? '' : `, ${block.from}`;
      const change = block.sides === 'in-turn' && step.set === 0 ? ', change sides each time' : '';
      const changes = changeWords(step);
      const speed = changes === '' ? '' : `, ${changes}`;
      const title = block.title.toLowerCase();
      return [
        ...new Set([
          `${title}${stance}${side}${change}${speed}`,
          // A new speed is heard whatever else there is no time for.
          step.side === 'other' ? sidePhrase('other', first) : changes === '' ? title : changes,
        ]),
      ];
    }
    case 'change':
      return [changeWords(step)];
    case 'count': {
      const word = wordOfCount(step.n, count);
      if (word === '') return [];
      const level = step.level === null ? [] : [`${word}, ${step.level}`];
      return step.isLast && block.shoutLast ? [shoutPhrase(word), ...level, word] : [...level, word];
    }
    case 'group-done':
      return groupDoneForms(step.group);
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
  { book, count, factor, lead, standing, layout }: LayOutContext,
): void {
  const { steps } = countSteps(block, book, factor);
  const counts = steps.map((step) => (step.kind === 'count' ? step.n : 0));
  tellWordsEnd(layout, block.id, from, count, Math.max(0, ...counts));
  const said = saidBeats(block.line, book);
  const first = sideOfLine(block.line, book, lead);
  // Sides end on the other one.
  standing.lead = block.sides === 'both' ? otherLead(lead) : lead;
  for (const step of steps) {
    const at = from + step.at;
    if (at >= to - BEFORE_BLOCK_ENDS) {
      const before = steps.slice(0, steps.indexOf(step));
      tellCut(layout, block.id, to, countsOf(before), countsOf(steps));
      break;
    }
    const forms = countForms(step, block, count, first);
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
    if (step.kind === 'open' && step.set === 0 && step.side !== 'other')
      for (const [i, lane] of tasksOf(block.groups).entries())
        layout.calls.push({
          forms: taskForms(lane, book),
          priority: 'combo',
          place: {
            kind: 'start',
            at: from + step.groupsAt + i * LANE_OPENING,
            latest: from + step.groupsAt + 0.9 + i * LANE_OPENING,
          },
          cue: { kind: 'call', block: block.id },
        });
    if (step.kind === 'count' && step.shown !== null)
      layout.cues.push({ at, kind: 'show', text: step.shown, block: block.id });
    if (step.kind === 'count')
      for (const { late, words } of saidOn(step, steps, said))
        sayInLine(words, at + late, { block: block.id }, layout);
    if (forms.length === 0) continue;
    const kind: Cue['kind'] = step.kind === 'count' ? 'call' : step.kind === 'group-done' ? 'call' : 'time';
    layout.calls.push({
      forms,
      priority: step.kind === 'count' ? 'count' : step.kind === 'group-done' ? 'prompt' : 'combo',
      place:
        step.kind === 'count'
          ? { kind: 'centre', at }
          : { kind: 'start', at: at + 0.1, latest: from + step.until },
      cue: { kind, block: block.id },
    });
  }
}

/**
 * The cues of the line that belong to a count, and how much later each comes: all of them where the whole line is done on it,
 * else those from its stroke on to the next one.
 */
function saidOn(
  step: Extract<CountStep, { kind: 'count' }>,
  steps: readonly CountStep[],
  said: ReturnType<typeof saidBeats>,
): { readonly late: Seconds; readonly words: string }[] {
  const next = steps[steps.indexOf(step) + 1];
  const from = step.isFirst ? 0 : step.beat;
  const until = next?.kind === 'count' && !next.isFirst ? next.beat : null;
  return said.flatMap(({ beat, words }) => {
    const at = toNumber(beat);
    if (step.beat === null) return [{ late: at * beatSeconds(LINE_BPM), words }];
    const isOwn = at >= (from ?? 0) && at < (until ?? Infinity);
    return isOwn ? [{ late: 0, words }] : [];
  });
}

const countsOf = (steps: readonly CountStep[]): number => steps.filter(({ kind }) => kind === 'count').length;
