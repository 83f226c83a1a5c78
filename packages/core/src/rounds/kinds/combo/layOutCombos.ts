import { otherLead, type Lead, type MoveBook } from '../../../moves/index.ts';
import { beatSeconds, type Bpm, type Seconds, howMany } from '../../../units/index.ts';
import { ABOUT_SPOKEN } from '../../../calls/index.ts';
import { emptyLayout, type RoundRule } from '../../cue.ts';
import { layOutContext, type BlockTime, type LayOutContext } from '../../layOutContext.ts';
import { announceSet } from './announcements.ts';
import type { BlockCombo, CallStyle, ComboBlock } from './comboBlock.ts';
import { comboOrder } from './comboOrder.ts';
import type { CyclePlan, CyclePlanner } from './cyclePlan.ts';
import { layOutCycle } from './layOutCycle.ts';
import { countedCycles, leadTurns, type LeadTurn } from './leadTurns.ts';
import type { FormsOf } from './strokeFormsOf.ts';
import { stageAt, tempoAt, type Stage } from './tempoOf.ts';
import { TempoCheck } from './tempoCheck.ts';
import { WayBack } from './wayBack.ts';

/** From the end of the combo call to the first tick of the count-in. */
const BEFORE_COUNT_IN: Seconds = 0.1;
/** The last impact may come this close to the end of its time. */
const BEFORE_END: Seconds = 0.2;
/** Lays out a combo block: each combo is called, counted in, and cycled; then the next; as its plans say. */
export function layOutCombos(block: ComboBlock, time: BlockTime, context: LayOutContext): void {
  new ComboLayout(block, time, context).layOut();
}

/** How long counted times through take; null when none can be read. */
export function lengthOfCounted(block: ComboBlock, book: MoveBook): Seconds | null {
  const layout = emptyLayout();
  const combos = new ComboLayout(
    // A wait that is drawn may be as long as it can be.
    block.gaps?.kind === 'random' ? { ...block, gaps: { ...block.gaps, min: block.gaps.max } } : block,
    { from: 0, to: Infinity, workEnds: Infinity, afterPause: true },
    layOutContext({ lead: 'left', seed: 0 }, book, ABOUT_SPOKEN, layout),
  );
  combos.layOut();
  return layout.cycles.length === 0 ? null : combos.end;
}

/** The clock of a combo block as it moves from set to set. */
class ComboLayout {
  private readonly block: ComboBlock;
  private readonly time: BlockTime;
  private readonly context: LayOutContext;
  private readonly plan: CyclePlanner;
  private readonly formsOf: FormsOf;
  private readonly tempoCheck: TempoCheck;
  private readonly combos: Generator<BlockCombo, void>;
  private readonly turns: readonly LeadTurn[];
  /** Times through that are asked for; null by the clock. */
  private readonly counted: number | null;
  private readonly wayBack: WayBack;
  /** When the last time through is over. */
  end: Seconds = 0;
  private cycle = 0;
  private set = 0;
  private lead: Lead;
  private intensity: number | null = null;
  private stage: Stage | null = null;
  /** The combo that each group of its own was last called to. */
  private readonly inLane = new Map<string, string>();

  constructor(block: ComboBlock, time: BlockTime, context: LayOutContext) {
    this.block = block;
    this.time = time;
    this.context = context;
    this.plan = context.planner;
    this.tempoCheck = new TempoCheck(context.cleanTempos, context.onAsked);
    this.formsOf = context.formsOf(block.words);
    this.turns = leadTurns(block, context.lead, time);
    this.counted = countedCycles(block);
    this.wayBack = new WayBack(block, time.from, context);
    const readable = block.combos.filter((combo) => this.plan(combo, context.lead, block.bpm, 'as-set'));
    this.combos = comboOrder(readable, block.order ?? 'in-order', context.random);
    this.lead = context.standing.lead;
  }

  layOut(): void {
    let clock = this.time.from;
    for (const turn of this.turns) {
      const before = this.cycle;
      const end = this.layOutTurn(turn, turn.from ?? clock);
      if (end === null && this.counted !== null && this.cycle > 0) {
        this.tellCut(turn);
        break;
      }
      if (this.cycle === before) this.tellNothingFits(turn);
      clock = end ?? clock;
    }
    this.end = clock;
    if (this.cycle > 0) this.context.standing.lead = this.lead;
    this.tempoCheck.tell(this.block.id, this.context.layout);
  }

  /** The sets of one lead; gives the instant at which all are done, null when they were not. */
  private layOutTurn(turn: LeadTurn, from: Seconds): Seconds | null {
    let clock = from;
    for (let set = 0; set < turn.sets; set++) {
      // Asked by hand: leaving a for-of would end the order, and the next turn goes on with it.
      const next = this.combos.next();
      const end = next.done ? null : this.layOutSet(next.value, clock, turn);
      if (end === null) return null;
      clock = end;
    }
    return clock;
  }

  /** One combo, called and cycled; gives the instant at which the next may be called, null when it did not fit. */
  private layOutSet(combo: BlockCombo, clock: Seconds, turn: LeadTurn): Seconds | null {
    const { block, context } = this;
    const done = this.doneAt(clock);
    const lead = this.leadOfSet(turn);
    const stage = stageAt(block, done);
    const bpm = tempoAt(block, { done, cycle: this.cycle, at: clock }, context.shifts);
    const lanes = this.lanesOfSet();
    const plan = this.planSet(combo, lead, bpm, stage);
    if (!plan) return null;
    const intensity = this.intensityAt(done);
    const opening = {
      combo,
      switchTo: lead === this.lead ? null : lead,
      intensity: intensity === this.intensity ? null : intensity,
      stage: stage === this.stage ? null : stage,
      lanes: lanes.filter((lane) => this.inLane.get(lane.group) !== lane.combo.id),
    };
    const calls: typeof context.layout = { ...context.layout, calls: [] };
    // Counted work is as long with every voice.
    const library = this.counted === null ? context.library : ABOUT_SPOKEN;
    const countIn =
      announceSet(block, opening, clock, { book: context.book, library }, calls) + BEFORE_COUNT_IN;
    const first = countIn + combo.beatsPerBar * beatSeconds(bpm);
    if (first + plan.lastImpact * beatSeconds(bpm) > turn.to - BEFORE_END) return null;
    context.layout.calls.push(...calls.calls);
    Object.assign(this, { lead, intensity, stage });
    for (const lane of lanes) this.inLane.set(lane.group, lane.combo.id);
    this.countIn(combo, countIn, beatSeconds(bpm));
    const before = this.cycle;
    const end = this.layOutCycles(plan, first, turn, stage);
    this.set += 1;
    return this.counted !== null && this.cycle - before < turn.cycles ? null : end;
  }

  /** What each group with combos of its own does in this set. */
  private lanesOfSet(): { group: string; combo: BlockCombo }[] {
    return (this.block.lanes ?? []).flatMap(({ group, combos }) =>
      combos.length === 0 ? [] : [{ group, combo: combos[this.set % combos.length]! }],
    );
  }

  private lanePlans(bpm: Bpm, stage: Stage): { group: string; plan: CyclePlan }[] {
    return this.lanesOfSet().flatMap(({ group, combo }) => {
      const plan = this.plan(combo, this.lead, bpm, stage);
      return plan ? [{ group, plan }] : [];
    });
  }

  /** The plan of a time through, as long as the slowest group needs for its own. */
  private planSet(combo: BlockCombo, lead: Lead, bpm: Bpm, stage: Stage): CyclePlan | null {
    const own = this.plan(combo, lead, bpm, stage);
    return this.lanesOfSet().reduce<CyclePlan | null>((slowest, lane) => {
      const plan = this.plan(lane.combo, lead, bpm, stage);
      if (!slowest || !plan) return slowest;
      return {
        ...slowest,
        beats: Math.max(slowest.beats, plan.beats),
        lastImpact: Math.max(slowest.lastImpact, plan.lastImpact),
      };
    }, own);
  }

  private layOutCycles(plan: CyclePlan, from: Seconds, turn: LeadTurn, stage: Stage): Seconds {
    const { block, context } = this;
    let start = from;
    for (let n = 0; n < turn.cycles; n++) {
      const bpm = tempoAt(block, { done: this.doneAt(start), cycle: this.cycle, at: start }, context.shifts);
      const isStage = stageAt(block, this.doneAt(start)) === stage;
      // Counted repetitions are all done, in the stage in which they were begun.
      const goesOn = isStage || this.counted !== null;
      const now = goesOn ? this.planSet(this.wayOf(plan.combo, n), this.lead, bpm, stage) : null;
      const beat = beatSeconds(bpm);
      if (!now || start + now.lastImpact * beat > turn.to - BEFORE_END) break;
      // What is empty behind the last impact gives way to the change of lead at half time.
      const room = turn.to < this.time.to ? (turn.to - start) / beat : Infinity;
      const wait = this.waitAfter();
      const whole = wait === null ? this.beatsOf(now, n) : now.lastImpact + wait / beat;
      const beats = Math.min(room, whole);
      layOutCycle(
        block,
        {
          plan: now,
          at: start,
          beat,
          beats,
          lead: this.lead,
          calls: callsOf(block, stage),
          cycle: this.cycle,
          inSet: n,
          intensity: this.intensity,
          until: turn.to,
          count: context.count,
          lanes: this.lanesOfSet().map(({ group, combo }) => ({ group, combo: combo.id })),
          line: now.combo.line === plan.combo.line ? null : now.combo.line,
        },
        this.formsOf,
        context.layout,
      );
      if (stage !== 'parts')
        for (const { group, plan: seen } of [{ group: null, plan: now }, ...this.lanePlans(bpm, stage)])
          this.tempoCheck.see(seen, { beats: Math.round(whole * 720) / 720, bpm, at: start, group });
      this.cycle += 1;
      start += beats * beat;
    }
    return start;
  }

  /** The combo as it is done this time: as written, or stepping back. */
  private wayOf(combo: BlockCombo, n: number): BlockCombo {
    const each = this.block.wayBack ?? 0;
    if (each === 0 || Math.floor(n / each) % 2 === 0) return combo;
    return this.wayBack.of(combo);
  }

  /** Broken rhythm: of each two times through the first is cut short, and a pause stands behind the second. */
  private beatsOf(plan: CyclePlan, n: number): number {
    const { tempo } = this.block;
    if (tempo?.kind !== 'broken') return plan.beats;
    const short = Math.ceil(plan.lastImpact + 1);
    return n % 2 === 0 ? short : short + tempo.pause;
  }

  /** From the last strike of one time through to the first of the next; null where the bar says. */
  private waitAfter(): Seconds | null {
    const { gaps } = this.block;
    return gaps?.kind === 'random' ? gaps.min + this.context.random() * (gaps.max - gaps.min) : null;
  }

  private leadOfSet({ lead }: LeadTurn): Lead {
    const { leadPlan } = this.block;
    if (this.counted !== null) return lead;
    if (leadPlan === 'each') return this.set % 2 === 0 ? lead : otherLead(lead);
    if (leadPlan === 'random') return this.context.random() < 0.5 ? lead : otherLead(lead);
    return lead;
  }

  /** Share of the block that is over: of its repetitions where they are counted, else of its time. */
  private doneAt(clock: Seconds): number {
    if (this.counted !== null) return this.cycle / this.counted;
    return (clock - this.time.from) / (this.time.to - this.time.from);
  }

  private intensityAt(done: number): number | null {
    const { intensity = [] } = this.block;
    if (intensity.length === 0) return null;
    return intensity[Math.min(intensity.length - 1, Math.floor(done * intensity.length))]!;
  }

  private countIn(combo: BlockCombo, from: Seconds, beat: Seconds): void {
    for (let i = 0; i < combo.beatsPerBar; i++) {
      this.context.layout.cues.push({
        at: from + i * beat,
        kind: 'count',
        text: String(i + 1),
        block: this.block.id,
        combo: combo.id,
        sound: 'count-in',
      });
    }
  }

  private tellNothingFits({ from, to }: LeadTurn): void {
    const { id, bpm } = this.block;
    const start = from ?? this.time.from;
    this.tell(
      'no-cycle-fits',
      start,
      `No combo fits into ${Math.round(to - start)} s at ${bpm} beats a minute. Give it more time or a faster beat.`,
      id,
    );
  }

  /** Counted work that its block has no time for is reported, never left out in silence. */
  private tellCut({ to }: LeadTurn): void {
    this.tell(
      'count-cut',
      to,
      `Only ${this.cycle} of ${howMany(this.counted!, 'time')} through fit. The block needs more time.`,
      this.block.id,
    );
  }

  private tell(rule: RoundRule, at: Seconds, message: string, block: string): void {
    this.context.layout.findings.push({ rule, severity: 'caution', at, block, message });
  }
}

/** The stages of a build-up call in their own ways: every stroke, one count, then only the combo. */
function callsOf(block: ComboBlock, stage: Stage): CallStyle {
  if (stage === 'as-set' || block.calls === 'silent') return block.calls;
  return stage === 'parts' ? 'on-beat' : stage === 'joined' ? 'one-count' : 'lead-in';
}
