import { comboForms, holderForms, numberWord, strokeForms, type ClipShelf } from '../calls/index.ts';
import { walkStance, type Walk, type WalkedStroke } from '../body/index.ts';
import { parseLine } from '../line/index.ts';
import { isStrike, otherLead, type Lead, type MoveBook } from '../moves/index.ts';
import { beatSeconds, fraction, roundUpTo, toNumber, type Seconds } from '../units/index.ts';
import type { BlockCombo, ComboBlock } from './block.ts';
import type { Cue, Layout } from './cue.ts';

/** From the bell to the first call, so that the bell does not cover it. */
const AFTER_BELL: Seconds = 0.9;
/** From the end of the combo call to the first tick of the count-in. */
const BEFORE_COUNT_IN: Seconds = 0.1;
/** The last impact may come this close to the end of its time. */
const BEFORE_END: Seconds = 0.2;
/** In the last five seconds the voice only counts down. */
const LAST_COUNT: Seconds = 5.4;
/** Recovery after the last stroke is reckoned at club pace (engine: pace factors). */
const CLUB_PACE = 1.25;
/** A cycle set by the coach may not be over before its last impact, and leaves this many beats after it. */
const SHORTEST_PAUSE = 0.5;
/** Length assumed for a combo call that the voice cannot say. */
const UNSPOKEN_CALL: Seconds = 1.2;

export interface BlockTime {
  readonly from: Seconds;
  readonly to: Seconds;
  /** When the work around this block ends: the last count belongs to that instant. */
  readonly workEnds: Seconds;
}

/** A stretch of a block that is done from one lead. */
export interface LeadStretch {
  readonly from: Seconds;
  readonly to: Seconds;
  readonly lead: Lead;
}

/** Cuts a block's time by its lead plan. */
export function leadStretches(
  plan: ComboBlock['leadPlan'],
  lead: Lead,
  { from, to }: BlockTime,
): LeadStretch[] {
  switch (plan) {
    case 'as-set':
      return [{ from, to, lead }];
    case 'other':
      return [{ from, to, lead: otherLead(lead) }];
    case 'halves': {
      const half = (from + to) / 2;
      return [
        { from, to: half, lead },
        { from: half, to, lead: otherLead(lead) },
      ];
    }
    default:
      return plan satisfies never;
  }
}

/** A combo walked from one lead, with its length in beats. */
export interface CyclePlan {
  readonly combo: BlockCombo;
  readonly walk: Walk;
  readonly beats: number;
  readonly lastImpact: number;
}

/**
 * Walks a combo from a lead and gives the cycle its length: last impact, recovery and a beat for a change of lead,
 * rounded up to whole bars. Null when the line cannot be read.
 */
export function planCycle(combo: BlockCombo, book: MoveBook, lead: Lead, bpm: number): CyclePlan | null {
  const parsed = parseLine(combo.line, book);
  if (!parsed.ok) return null;
  const walk = walkStance(parsed.line, book, lead);
  const last = walk.strokes.filter((stroke) => stroke.stroke.by === 'fighter').at(-1);
  const lastImpact = walk.strokes.reduce((most, stroke) => Math.max(most, toNumber(stroke.beat)), 0);
  const recovery = (last?.move.back ?? 0) * CLUB_PACE;
  // A fighter who ends in the other lead needs a beat to change back before the next cycle.
  const changeBack = walk.end.lead === lead ? 0 : 1;
  const busy = Math.max(lastImpact + recovery / beatSeconds(bpm), toNumber(walk.beats)) + changeBack;
  const bar = fraction(combo.beatsPerBar);
  const beats = combo.cycleBeats
    ? Math.max(combo.cycleBeats, lastImpact + SHORTEST_PAUSE, toNumber(walk.beats))
    : toNumber(roundUpTo(fraction(Math.max(1, Math.ceil(busy * 720 - 1e-6)), 720), bar));
  return { combo, walk, beats, lastImpact };
}

/** Lays out a combo block: each combo is called, counted in, and cycled; then the next; then from the other lead. */
export function layOutCombos(
  block: ComboBlock,
  time: BlockTime,
  lead: Lead,
  book: MoveBook,
  shelf: ClipShelf,
  layout: Layout,
): void {
  const beat = beatSeconds(block.bpm);
  const counter = { cycle: 0 };
  for (const [part, stretch] of leadStretches(block.leadPlan, lead, time).entries()) {
    if (part > 0) callSwitch(block, stretch.from, stretch.lead, layout);
    const plans = block.combos.flatMap((combo) => planCycle(combo, book, stretch.lead, block.bpm) ?? []);
    let clock = stretch.from + AFTER_BELL + (part > 0 ? 1.2 : 0);
    let did = 0;
    for (let turn = 0; plans.length > 0; turn++) {
      const plan = plans[turn % plans.length]!;
      const countIn = clock + announceSeconds(block, plan.combo, shelf) + BEFORE_COUNT_IN;
      const first = countIn + plan.combo.beatsPerBar * beat;
      if (first + plan.lastImpact * beat > stretch.to - BEFORE_END) break;
      announce(block, plan.combo, clock, countIn, layout);
      for (let i = 0; i < plan.combo.beatsPerBar; i++) {
        layout.cues.push({
          at: countIn + i * beat,
          kind: 'count',
          text: String(i + 1),
          block: block.id,
          combo: plan.combo.id,
          sound: 'count-in',
        });
      }
      let start = first;
      for (
        let n = 0;
        n < block.cyclesEach && start + plan.lastImpact * beat <= stretch.to - BEFORE_END;
        n++
      ) {
        layOutCycle(block, plan, start, counter.cycle, { beat, book, stretch, time, layout });
        counter.cycle += 1;
        did += 1;
        start += plan.beats * beat;
      }
      clock = start;
    }
    if (did === 0) {
      layout.findings.push({
        rule: 'no-cycle-fits',
        severity: 'caution',
        at: stretch.from,
        block: block.id,
        message: `No combo fits into ${Math.round(stretch.to - stretch.from)} s at ${block.bpm} beats a minute. Give it more time or a faster beat.`,
      });
    }
  }
}

function announceSeconds(block: ComboBlock, combo: BlockCombo, shelf: ClipShelf): Seconds {
  if (block.calls === 'silent') return 0;
  return shelf.find(comboForms(combo)[0]!, 1)?.seconds ?? UNSPOKEN_CALL;
}

function announce(
  block: ComboBlock,
  combo: BlockCombo,
  from: Seconds,
  countIn: Seconds,
  layout: Layout,
): void {
  if (block.calls === 'silent') return;
  layout.calls.push({
    forms: comboForms(combo),
    priority: 'combo',
    place: { kind: 'end', at: countIn - BEFORE_COUNT_IN, earliest: from - 0.001 },
    cue: { kind: 'call', block: block.id, combo: combo.id },
  });
}

function callSwitch(block: ComboBlock, at: Seconds, lead: Lead, layout: Layout): void {
  layout.calls.push({
    forms: [`switch, ${lead} lead`, 'switch'],
    priority: 'stance',
    place: { kind: 'start', at: at + 0.05, latest: at + 1.5 },
    cue: { kind: 'stance', block: block.id, lead },
  });
}

interface CycleContext {
  readonly beat: Seconds;
  readonly book: MoveBook;
  readonly stretch: LeadStretch;
  readonly time: BlockTime;
  readonly layout: Layout;
}

function layOutCycle(
  block: ComboBlock,
  plan: CyclePlan,
  start: Seconds,
  cycle: number,
  context: CycleContext,
): void {
  const { beat, stretch, layout } = context;
  const ids = { block: block.id, combo: plan.combo.id, cycle };
  layout.cycles.push({ at: start, ...ids, lead: stretch.lead, beats: plan.beats, beatSeconds: beat });
  if (block.calls === 'one-count' && start <= context.time.workEnds - LAST_COUNT) {
    layout.calls.push({
      forms: [numberWord((cycle % block.cyclesEach) + 1)],
      priority: 'count',
      place: { kind: 'centre', at: start },
      cue: { kind: 'call', ...ids },
    });
  }
  for (let i = 0; i < plan.beats && start + i * beat < stretch.to - 1e-9; i++) {
    layout.cues.push({
      at: start + i * beat,
      kind: 'tick',
      text: String((i % plan.combo.beatsPerBar) + 1),
      sound: i % plan.combo.beatsPerBar === 0 ? 'tick-bar' : 'tick-beat',
      ...ids,
    });
  }
  for (const [position, stroke] of plan.walk.strokes.entries()) {
    const at = start + toNumber(stroke.beat) * beat;
    const previous = plan.walk.strokes[position - 1];
    const slotAhead = previous ? start + toNumber(previous.beat) * beat : start - beat;
    if (stroke.beat.d === 2) layout.cues.push({ at, kind: 'tick', text: '', sound: 'tick-half', ...ids });
    layout.cues.push({
      at,
      kind: 'strike',
      text: stroke.move.name,
      stroke: stroke.index,
      lead: stroke.before.lead,
      ...ids,
    });
    if (isStrike(stroke.move) && stroke.stroke.by === 'fighter') {
      layout.cues.push({
        at: slotAhead,
        kind: 'show',
        text: offerText(stroke),
        stroke: stroke.index,
        lead: stroke.before.lead,
        ...ids,
      });
    }
    callStroke(block, stroke, at, slotAhead, ids, context);
    if (stroke.after.lead !== stroke.before.lead && stroke.move.family !== 'step') {
      layout.cues.push({
        at,
        kind: 'stance',
        text: `${stroke.after.lead} lead`,
        stroke: stroke.index,
        lead: stroke.after.lead,
        ...ids,
      });
    }
  }
  callHome(block, plan, start, ids, context);
}

function callStroke(
  block: ComboBlock,
  stroke: WalkedStroke,
  at: Seconds,
  slotAhead: Seconds,
  ids: Pick<Cue, 'block' | 'combo' | 'cycle'>,
  { book, time, layout }: CycleContext,
): void {
  const isCalled = block.calls === 'on-beat' || block.calls === 'ahead' || block.calls === 'holder';
  if (!isCalled || stroke.stroke.by === 'holder' || stroke.together) return;
  const target = block.calls === 'on-beat' ? at : slotAhead;
  if (target > time.workEnds - LAST_COUNT) return;
  const switches = stroke.move.lead === 'flips';
  const forms =
    block.calls === 'holder'
      ? holderForms({ ...stroke, feint: stroke.stroke.feint })
      : strokeForms({ ...stroke, feint: stroke.stroke.feint }, book, block.words);
  if (forms.length === 0) return;
  layout.calls.push({
    forms,
    priority: switches ? 'stance' : 'stroke',
    place: { kind: 'centre', at: target },
    cue: { kind: switches ? 'stance' : 'call', stroke: stroke.index, lead: stroke.after.lead, ...ids },
  });
}

/** A combo that ends in the other lead is followed by a change back, called in the recovery. */
function callHome(
  block: ComboBlock,
  plan: CyclePlan,
  start: Seconds,
  ids: Pick<Cue, 'block' | 'combo' | 'cycle'>,
  context: CycleContext,
): void {
  const { beat, stretch, time, layout } = context;
  if (plan.walk.end.lead === stretch.lead) return;
  const at = start + (plan.lastImpact + 1) * beat;
  if (at > stretch.to - 0.5) return;
  if (block.calls === 'silent' || at > time.workEnds - LAST_COUNT) {
    layout.cues.push({ at, kind: 'stance', text: `${stretch.lead} lead`, lead: stretch.lead, ...ids });
    return;
  }
  layout.calls.push({
    forms: ['switch back', 'switch'],
    priority: 'stance',
    place: { kind: 'centre', at },
    cue: { kind: 'stance', lead: stretch.lead, ...ids },
  });
}

/** What the holder is shown: the move, and the height of the pad. */
function offerText(stroke: WalkedStroke): string {
  const name = stroke.move.say.short;
  return stroke.level === null ? name : `${name}, ${stroke.level}`;
}
