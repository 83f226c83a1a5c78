import { CALL_PRIORITIES, fitCalls, type ClipLibrary } from '../calls/index.ts';
import type { MoveBook } from '../moves/index.ts';
import { clockTextToTenths, type Seconds } from '../units/index.ts';
import { layOutAttentionWord } from './attentionWord.ts';
import {
  emptyLayout,
  placeClip,
  type CompiledRound,
  type Cue,
  type RoundCall,
  type RoundFinding,
  type Layout,
} from './cue.ts';
import { isCounted, isPause, kindOf, type Block } from './kinds/registry.ts';
import { layOutContext, type BlockTime, type RoundGround } from './layOutContext.ts';
import { layOutWorkClock } from './workClock.ts';

interface TimedBlock extends BlockTime {
  readonly block: Block;
}

/** A round ready to be compiled. */
export interface RoundPlan extends RoundGround {
  readonly blocks: readonly Block[];
  /** The word of the day: said at random instants of the work, to be answered by everybody. */
  readonly word?: string;
}

/**
 * Turns a round into cues on a clock that starts at 0: bells, ticks, counts, the strikes that are due, what the holder
 * shows, and the calls of the voice, fitted around each other. Same plan, book, clips and seed: same cues.
 * Calls that found no room, and blocks too short for their combos, come back as findings.
 *
 * @example
 * compileRound({ blocks: [filled('rest')], lead: 'left', seed: 1 }, book, voice).duration // 40
 */
export function compileRound(plan: RoundPlan, book: MoveBook, library: ClipLibrary): CompiledRound {
  const layout = layOut(plan, book, library);
  const { fitted, dropped } = fitCalls(layout.calls, library);
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
  const findings = [
    ...layout.findings,
    // A second that is not counted aloud ticks all the same.
    ...dropped.flatMap((drop) => (drop.wanted.cue.sound ? [] : [droppedFinding(drop.wanted, drop.reason)])),
    ...fitted.flatMap(({ wanted, clip, start }) => incompleteFinding(wanted, clip.text, start + clip.centre)),
  ];
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

function layOut(plan: RoundPlan, book: MoveBook, library: ClipLibrary): Layout {
  const layout = emptyLayout();
  const context = layOutContext(plan, book, library, layout);
  const timed = timeBlocks(plan.blocks);
  const blockAt = (at: Seconds): string =>
    (timed.find(({ from, to }) => at >= from && at < to) ?? timed.at(-1)!).block.id;
  const isCountedAt = (at: Seconds): boolean =>
    timed.some(({ from, to, block }) => at >= from && at < to && isCounted(block));
  const isNumberedAt = (at: Seconds): boolean =>
    timed.some(({ from, to, block }) => at >= from && at < to && kindOf(block).callsNumbers(block));
  const isChosen = plan.timeCalls !== undefined;
  for (const { from, to } of workStretches(timed))
    layOutWorkClock(from, to, { blockAt, isCountedAt, isNumberedAt, isChosen }, context.timeCalls, layout);
  for (const time of timed) kindOf(time.block).layOut(time.block, time, context);
  if (plan.word) layOutAttentionWord(plan.word, timed, context);
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
    const before = spans[i - 1];
    return {
      ...span,
      workEnds: restAfter === -1 ? clock : spans[restAfter]!.from,
      afterPause: before === undefined || isPause(before.block),
    };
  });
}

/** Blocks of work that follow each other without a rest are one stretch for the bell. */
function workStretches(timed: readonly TimedBlock[]): { from: Seconds; to: Seconds }[] {
  const stretches: { from: Seconds; to: Seconds }[] = [];
  for (const { block, from, to } of timed) {
    if (isPause(block)) continue;
    const last = stretches.at(-1);
    if (last && last.to === from) last.to = to;
    else stretches.push({ from, to });
  }
  return stretches;
}

function incompleteFinding({ lacks, cue }: RoundCall, text: string, at: Seconds): RoundFinding[] {
  const left = lacks?.get(text) ?? [];
  if (left.length === 0) return [];
  const message = `“${text}” at ${clockTextToTenths(at)} leaves out: ${left.join(', ')}. There is no room to say it.`;
  return [{ rule: 'call-incomplete', severity: 'note', at, block: cue.block, message }];
}

function droppedFinding(call: RoundCall, reason: 'no-room' | 'no-clip'): RoundFinding {
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
    message: `“${call.forms[0]!}” at ${clockTextToTenths(call.place.at)} is not called: ${why}.`,
  };
}
