import { CALL_PRIORITIES, fitCalls, type CallWords, type ClipShelf } from '../calls/index.ts';
import type { MoveBook } from '../moves/index.ts';
import { seededRandom, type Seconds } from '../units/index.ts';
import { USUAL_TIME_CALLS, isPause, type Block, type RoundPlan } from './block.ts';
import { layOutCondition, layOutCount, layOutHold } from './counted/layOutCounted.ts';
import { footworkAsCombo } from './footworkLine.ts';
import { layOutReact } from './layOutReact.ts';
import { layOutWord } from './layOutWord.ts';
import {
  emptyLayout,
  placeClip,
  type CompiledRound,
  type Cue,
  type Layout,
  type RoundCall,
  type RoundFinding,
} from './cue.ts';
import { cyclePlanner } from './combo/cyclePlan.ts';
import { strokeFormsOf, type FormsOf } from './combo/layOutCycle.ts';
import { layOutCombos, type BlockTime, type RoundGround } from './combo/layOutCombos.ts';
import { layOutBurst, layOutFree, layOutRest, layOutWorkClock } from './layOutTime.ts';

interface TimedBlock extends BlockTime {
  readonly block: Block;
}

/**
 * Turns a round into cues on a clock that starts at 0: bells, ticks, counts, the strikes that are due, what the holder
 * shows, and the calls of the voice, fitted around each other. Same plan, book, clips and seed: same cues.
 * Calls that found no room, and blocks too short for their combos, come back as findings.
 */
export function compileRound(plan: RoundPlan, book: MoveBook, shelf: ClipShelf): CompiledRound {
  const layout = layOut(plan, book, shelf);
  const { fitted, dropped } = fitCalls(layout.calls, shelf);
  // The cue of a call is this compile's own: it becomes the cue of the round where it stands, without a copy.
  const spoken = fitted.map(({ wanted, clip, start }): Cue => {
    const cue = wanted.cue as { -readonly [K in keyof Cue]: Cue[K] };
    cue.at = start + clip.centre;
    cue.text = clip.text;
    cue.clip = placeClip(clip, start);
    return cue;
  });
  const unspoken = dropped.flatMap(({ wanted }): Cue[] =>
    wanted.cue.kind === 'stance' || wanted.priority === 'time'
      ? [{ ...wanted.cue, at: wanted.place.at, text: wanted.forms.at(-1)! }]
      : [],
  );
  const findings = [...layout.findings, ...dropped.map((drop) => droppedFinding(drop.wanted, drop.reason))];
  return {
    duration: plan.blocks.reduce((sum, block) => sum + block.seconds, 0),
    cues: inOrder(layout.cues, spoken, unspoken),
    cycles: layout.cycles,
    findings: findings.sort((a, b) => a.at - b.at),
  };
}

/** All cues in order of time. Each list nearly is already, so they are sorted apart and then run together. */
function inOrder(...lists: readonly Cue[][]): Cue[] {
  const sorted = lists.map((list) => list.sort((a, b) => a.at - b.at));
  return sorted.reduce((one, other) => {
    const all: Cue[] = [];
    let [i, j] = [0, 0];
    while (i < one.length || j < other.length) {
      const [a, b] = [one[i], other[j]];
      const isFirst = a !== undefined && (b === undefined || a.at <= b.at);
      all.push(isFirst ? a : b!);
      if (isFirst) i += 1;
      else j += 1;
    }
    return all;
  });
}

function layOut(plan: RoundPlan, book: MoveBook, shelf: ClipShelf): Layout {
  const layout = emptyLayout();
  const formsByWords = new Map<CallWords, FormsOf>();
  const ground: RoundGround = {
    lead: plan.lead,
    book,
    shelf,
    random: seededRandom(plan.seed),
    shifts: plan.shifts ?? [],
    count: plan.count ?? { language: 'english', own: [] },
    layout,
    planner: cyclePlanner(book),
    formsOf: (words) => {
      let forms = formsByWords.get(words);
      if (!forms) formsByWords.set(words, (forms = strokeFormsOf(book, words)));
      return forms;
    },
  };
  const timeCalls = new Set(plan.timeCalls ?? USUAL_TIME_CALLS);
  const timed = timeBlocks(plan.blocks);
  const blockAt = (at: Seconds): string =>
    (timed.find(({ from, to }) => at >= from && at < to) ?? timed.at(-1)!).block.id;
  for (const { from, to, last } of workStretches(timed))
    layOutWorkClock(from, to, { blockAt, isCounted: countsItself(last) }, timeCalls, layout);
  for (const time of timed) {
    const { block } = time;
    switch (block.kind) {
      case 'combo':
        layOutCombos(block, time, ground);
        break;
      case 'free':
        layOutFree(block, time, ground);
        break;
      case 'burst':
        layOutBurst(block, time, layout);
        break;
      case 'count':
        layOutCount(block, time, ground);
        break;
      case 'hold':
        layOutHold(block, time, ground);
        break;
      case 'condition':
        layOutCondition(block, time, ground);
        break;
      case 'react':
        layOutReact(block, time, ground);
        break;
      case 'footwork':
        layOutCombos(footworkAsCombo(block, book), time, ground);
        break;
      case 'talk':
        layout.cues.push({ at: time.from, kind: 'show', text: block.title, block: block.id });
        break;
      case 'rest':
        layOutRest(block, time, time.from === 0, timeCalls, layout);
        break;
      default:
        block satisfies never;
    }
  }
  if (plan.word) layOutWord(plan.word, timed, ground);
  return layout;
}

function timeBlocks(blocks: readonly Block[]): TimedBlock[] {
  let clock = 0;
  const spans = blocks.map((block) => {
    const from = clock;
    clock += block.seconds;
    return { block, from, to: clock };
  });
  return spans.map((span, i) => {
    const restAfter = spans.findIndex(({ block }, j) => j > i && isPause(block));
    return { ...span, workEnds: restAfter === -1 ? clock : spans[restAfter]!.from };
  });
}

/** Whether a block ends with a count of its own, over which the clock does not count down. */
function countsItself(block: Block): boolean {
  return (
    block.kind === 'count' || block.kind === 'hold' || (block.kind === 'condition' && block.reps !== null)
  );
}

/** Blocks of work that follow each other without a rest are one stretch for the bell. */
function workStretches(timed: readonly TimedBlock[]): { from: Seconds; to: Seconds; last: Block }[] {
  const stretches: { from: Seconds; to: Seconds; last: Block }[] = [];
  for (const { block, from, to } of timed) {
    if (isPause(block)) continue;
    const last = stretches.at(-1);
    if (last && last.to === from) Object.assign(last, { to, last: block });
    else stretches.push({ from, to, last: block });
  }
  return stretches;
}

function droppedFinding(call: RoundCall, reason: 'no-room' | 'no-clip'): RoundFinding {
  const minutes = Math.floor(call.place.at / 60);
  const seconds = (call.place.at % 60).toFixed(1).padStart(4, '0');
  const why =
    reason === 'no-clip'
      ? 'the voice has no sound for it; record it in your own voice'
      : 'another call fills its place';
  return {
    rule: 'call-dropped',
    severity:
      CALL_PRIORITIES.indexOf(call.priority) <= CALL_PRIORITIES.indexOf('stance') ? 'caution' : 'note',
    at: call.place.at,
    block: call.cue.block,
    message: `“${call.forms.at(-1)!}” at ${minutes}:${seconds} is not called: ${why}.`,
  };
}
