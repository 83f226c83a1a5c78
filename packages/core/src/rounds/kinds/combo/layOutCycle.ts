import { isHeard, type Walk, type WalkedStroke } from '../../../body/index.ts';
import { isStrike, type Lead } from '../../../moves/index.ts';
import { clockTextToTenths, toNumber, type Seconds } from '../../../units/index.ts';
import type { Cue, Cycle, Layout } from '../../cue.ts';
import { SWITCH_BACK_FORMS } from '../../../calls/index.ts';
import type { CountWords } from '../../roundSettings.ts';
import type { CallStyle, ComboBlock } from './comboBlock.ts';
import type { CyclePlan } from './cyclePlan.ts';
import { wordOfCount } from '../counting.ts';
import { sayInLine } from '../saidInLine.ts';
import type { FormsOf, LineCall } from './strokeFormsOf.ts';

/** One time through a combo, as it is to be laid out. */
export interface PlacedCycle {
  readonly plan: CyclePlan;
  readonly at: Seconds;
  readonly beat: Seconds;
  /** Length in beats, which may be longer or shorter than the plan's own. */
  readonly beats: number;
  readonly lead: Lead;
  readonly calls: CallStyle;
  /** Place among the cycles of the block, and among those since the combo was called. */
  readonly cycle: number;
  readonly inSet: number;
  readonly intensity: number | null;
  /** Ticks beyond this instant are not wanted. */
  readonly until: Seconds;
  readonly count: CountWords;
  readonly lanes: NonNullable<Cycle['lanes']>;
  /** What is done where it is not the combo as it is written. */
  readonly line: string | null;
}

/** Lays out the ticks, strikes, pads and calls of one time through a combo. */
export function layOutCycle(block: ComboBlock, placed: PlacedCycle, formsOf: FormsOf, layout: Layout): void {
  const { plan, at, beat, beats, lead, until } = placed;
  const ids = { block: block.id, combo: plan.combo.id, cycle: placed.cycle };
  layout.cycles.push({
    at,
    ...ids,
    lead,
    beats,
    beatSeconds: beat,
    intensity: placed.intensity,
    ...(placed.lanes.length > 0 ? { lanes: placed.lanes } : {}),
    ...(placed.line === null ? {} : { line: placed.line }),
  });
  const { beatsPerBar } = plan.combo;
  for (let i = 0; i < beats && at + i * beat < until - 1e-9; i++) {
    layout.cues.push({
      at: at + i * beat,
      kind: 'tick',
      text: String((i % beatsPerBar) + 1),
      sound: i % beatsPerBar === 0 ? 'tick-bar' : 'tick-beat',
      block: ids.block,
      combo: ids.combo,
      cycle: ids.cycle,
    });
  }
  const word = wordOfCount(placed.inSet + 1, placed.count);
  if (placed.calls === 'one-count' && word !== '') {
    layout.calls.push({
      forms: [word],
      priority: 'count',
      place: { kind: 'centre', at },
      cue: { kind: 'call', ...ids },
    });
  }
  const { strokes } = plan.walk;
  const dueAt = (stroke: WalkedStroke): Seconds => at + toNumber(stroke.beat) * beat;
  const ahead = beatsAhead(plan.walk);
  const aheadOf = (stroke: WalkedStroke): Seconds => at + ahead[stroke.index]! * beat;
  for (const stroke of strokes) layOutStroke(stroke, dueAt(stroke), aheadOf(stroke), ids, layout);
  if (callsStrokes(placed.calls) && block.words !== 'combo-number')
    for (const call of formsOf(plan.walk, placed.calls === 'holder'))
      callStrokes(call, placed.calls === 'on-beat' ? dueAt(call.stroke) : aheadOf(call.stroke), ids, layout);
  for (const { beat: said, words } of plan.walk.said)
    sayInLine(words, at + toNumber(said) * beat, ids, layout);
  callHome(placed, ids, layout);
}

const knownAhead = new WeakMap<Walk, readonly number[]>();

/** The slot before each stroke: the beat of the one before it, or a beat ahead of the first. */
function beatsAhead(walk: Walk): readonly number[] {
  let ahead = knownAhead.get(walk);
  if (!ahead) {
    let [slot, last] = [-1, 0];
    ahead = walk.strokes.map(({ beat }, i) => {
      const now = toNumber(beat);
      if (i > 0 && now > last) slot = last;
      last = now;
      return slot;
    });
    knownAhead.set(walk, ahead);
  }
  return ahead;
}

const callsStrokes = (calls: CallStyle): boolean =>
  calls === 'on-beat' || calls === 'ahead' || calls === 'holder';

type CycleIds = Required<Pick<Cue, 'block' | 'combo' | 'cycle'>>;

function layOutStroke(
  walked: WalkedStroke,
  at: Seconds,
  shownAt: Seconds,
  { block, combo, cycle }: CycleIds,
  layout: Layout,
): void {
  const { index: stroke, move, limb, level, before, after } = walked;
  const { power, by } = walked.stroke;
  const { lead } = before;
  if (walked.beat.d === 2)
    layout.cues.push({ at, kind: 'tick', text: '', sound: 'tick-half', block, combo, cycle });
  layout.cues.push({
    at,
    kind: 'strike',
    text: move.name,
    limb,
    level,
    power,
    stroke,
    lead,
    block,
    combo,
    cycle,
    ...(isHeard(walked) ? {} : { silent: true }),
  });
  if (isStrike(move) && by === 'fighter')
    layout.cues.push({
      at: shownAt,
      kind: 'show',
      text: offerText(walked),
      stroke,
      lead,
      block,
      combo,
      cycle,
    });
  if (after.lead !== lead && move.family !== 'step')
    layout.cues.push({
      at,
      kind: 'stance',
      text: `${after.lead} lead`,
      stroke,
      lead: after.lead,
      block,
      combo,
      cycle,
    });
}

function callStrokes(
  { stroke, last, switches, forms, lacks }: LineCall,
  at: Seconds,
  ids: CycleIds,
  layout: Layout,
): void {
  if (forms.length === 0) return tellUnclear(stroke, at, ids, layout);
  layout.calls.push({
    forms,
    lacks,
    priority: switches ? 'stance' : 'stroke',
    place: { kind: 'centre', at },
    cue: {
      kind: switches ? 'stance' : 'call',
      stroke: stroke.index,
      lead: last.after.lead,
      block: ids.block,
      combo: ids.combo,
      cycle: ids.cycle,
    },
  });
}

/** Words that mean something else too are not said, which is reported. */
function tellUnclear({ move }: WalkedStroke, at: Seconds, { block }: CycleIds, layout: Layout): void {
  layout.findings.push({
    rule: 'call-unclear',
    severity: 'caution',
    at,
    block,
    message: `${move.name} at ${clockTextToTenths(at)} is not called: its words mean something else too. Give it other words in the move book.`,
  });
}

/** From the last impact to the change back, so that the last stroke can be called whole; and from there to the next time through. */
const AFTER_LAST: Seconds = 1;
const BEFORE_NEXT: Seconds = 0.6;

/** A combo that ends in the other lead is followed by a change back, called in the recovery. */
function callHome(
  { plan, at: start, beat, beats, lead, calls, until }: PlacedCycle,
  ids: CycleIds,
  layout: Layout,
): void {
  if (plan.walk.end.lead === lead) return;
  const free = (beats - plan.lastImpact) * beat;
  const at = start + plan.lastImpact * beat + Math.max(beat, Math.min(AFTER_LAST, free - BEFORE_NEXT));
  if (at > until - 0.5) return;
  if (calls === 'silent') {
    layout.cues.push({ at, kind: 'stance', text: `${lead} lead`, lead, ...ids });
    return;
  }
  layout.calls.push({
    forms: SWITCH_BACK_FORMS,
    priority: 'stance',
    place: { kind: 'centre', at },
    cue: { kind: 'stance', lead, ...ids },
  });
}

/** What the holder is shown: the move, and the height of the pad. */
function offerText({ move, level }: WalkedStroke): string {
  return level === null ? move.say.short : `${move.say.short}, ${level}`;
}
