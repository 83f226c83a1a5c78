import { otherLead, type Lead } from '../../../moves/index.ts';
import { beatSeconds, type Bpm, type Seconds } from '../../../units/index.ts';
import type { BlockTime, LayOutContext } from '../../layOutContext.ts';
import { leadStretches, type LeadStretch } from '../../leadStretches.ts';
import { announceSet } from './announcements.ts';
import type { BlockCombo, CallStyle, ComboBlock } from './comboBlock.ts';
import { comboOrder } from './comboOrder.ts';
import type { CyclePlan, CyclePlanner } from './cyclePlan.ts';
import { LAST_COUNT, layOutCycle } from './layOutCycle.ts';
import type { FormsOf } from './strokeFormsOf.ts';
import { stageAt, tempoAt, type Stage } from './tempoOf.ts';
import { TempoCheck } from './tempoCheck.ts';

/** From the bell to the first call, so that the bell does not cover it. */
const AFTER_BELL: Seconds = 0.9;
/** From the end of the combo call to the first tick of the count-in. */
const BEFORE_COUNT_IN: Seconds = 0.1;
/** The last impact may come this close to the end of its time. */
const BEFORE_END: Seconds = 0.2;
/** A change of lead between two halves waits this long, so that the time call at half time comes first. */
const AFTER_HALF: Seconds = 1.2;

/** Lays out a combo block: each combo is called, counted in, and cycled; then the next; as its plans say. */
export function layOutCombos(block: ComboBlock, time: BlockTime, context: LayOutContext): void {
  new ComboLayout(block, time, context).layOut();
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
    this.tempoCheck = new TempoCheck(context.cleanTempos);
    this.formsOf = context.formsOf(block.words);
    const readable = block.combos.filter((combo) => this.plan(combo, context.lead, block.bpm, 'as-set'));
    this.combos = comboOrder(readable, block.order ?? 'in-order', context.random);
    this.lead = context.lead;
  }

  layOut(): void {
    const { leadPlan } = this.block;
    const steady = leadPlan === 'each' || leadPlan === 'random' ? 'as-set' : leadPlan;
    for (const [part, stretch] of leadStretches(steady, this.context.lead, this.time).entries()) {
      const before = this.cycle;
      this.layOutStretch(stretch, stretch.from + (part === 0 ? AFTER_BELL : AFTER_HALF), part > 0);
      if (this.cycle === before) this.tellNothingFits(stretch);
    }
    this.tempoCheck.tell(this.block.id, this.context.layout);
  }

  private layOutStretch(stretch: LeadStretch, from: Seconds, switches: boolean): void {
    if (!switches) this.lead = stretch.lead;
    let clock = from;
    // Asked by hand: leaving a for-of would end the order, and the next stretch goes on with it.
    for (let next = this.combos.next(); !next.done; next = this.combos.next()) {
      const end = this.layOutSet(next.value, clock, stretch);
      if (end === null) return;
      clock = end;
    }
  }

  /** One combo, called and cycled; gives the instant at which the next may be called, null when it did not fit. */
  private layOutSet(combo: BlockCombo, clock: Seconds, stretch: LeadStretch): Seconds | null {
    const { block, context } = this;
    const done = this.doneAt(clock);
    const lead = this.leadOfSet(stretch);
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
    const countIn = announceSet(block, opening, clock, context.shelf, calls) + BEFORE_COUNT_IN;
    const first = countIn + combo.beatsPerBar * beatSeconds(bpm);
    if (first + plan.lastImpact * beatSeconds(bpm) > stretch.to - BEFORE_END) return null;
    context.layout.calls.push(...calls.calls);
    Object.assign(this, { lead, intensity, stage });
    for (const lane of lanes) this.inLane.set(lane.group, lane.combo.id);
    this.countIn(combo, countIn, beatSeconds(bpm));
    const end = this.layOutCycles(plan, first, stretch, stage);
    this.set += 1;
    return end;
  }

  /** What each group with combos of its own does in this set. */
  private lanesOfSet(): { group: string; combo: BlockCombo }[] {
    return (this.block.lanes ?? []).flatMap(({ group, combos }) =>
      combos.length === 0 ? [] : [{ group, combo: combos[this.set % combos.length]! }],
    );
  }

  private lanePlans(bpm: Bpm, stage: Stage): CyclePlan[] {
    return this.lanesOfSet().flatMap(({ combo }) => this.plan(combo, this.lead, bpm, stage) ?? []);
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

  private layOutCycles(plan: CyclePlan, from: Seconds, stretch: LeadStretch, stage: Stage): Seconds {
    const { block, context } = this;
    let start = from;
    for (let n = 0; n < block.cyclesEach; n++) {
      const bpm = tempoAt(block, { done: this.doneAt(start), cycle: this.cycle, at: start }, context.shifts);
      const now =
        stageAt(block, this.doneAt(start)) === stage ? this.planSet(plan.combo, this.lead, bpm, stage) : null;
      const beat = beatSeconds(bpm);
      if (!now || start + now.lastImpact * beat > stretch.to - BEFORE_END) break;
      // What is empty behind the last impact gives way to the change of lead at half time.
      const room = stretch.to < this.time.to ? (stretch.to - start) / beat : Infinity;
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
          until: stretch.to,
          callsUntil: this.time.workEnds - LAST_COUNT,
          count: context.count,
          lanes: this.lanesOfSet().map(({ group, combo }) => ({ group, combo: combo.id })),
        },
        this.formsOf,
        context.layout,
      );
      if (stage !== 'parts')
        for (const seen of [now, ...this.lanePlans(bpm, stage)])
          this.tempoCheck.see(seen, Math.round(whole * 720) / 720, bpm, start);
      this.cycle += 1;
      start += beats * beat;
    }
    return start;
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

  private leadOfSet(stretch: LeadStretch): Lead {
    const { leadPlan } = this.block;
    if (leadPlan === 'each') return this.set % 2 === 0 ? stretch.lead : otherLead(stretch.lead);
    if (leadPlan === 'random') return this.context.random() < 0.5 ? stretch.lead : otherLead(stretch.lead);
    return stretch.lead;
  }

  private doneAt(clock: Seconds): number {
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

  private tellNothingFits({ from, to }: LeadStretch): void {
    this.context.layout.findings.push({
      rule: 'no-cycle-fits',
      severity: 'caution',
      at: from,
      block: this.block.id,
      message: `No combo fits into ${Math.round(to - from)} s at ${this.block.bpm} beats a minute. Give it more time or a faster beat.`,
    });
  }
}

/** The stages of a build-up call in their own ways: every stroke, one count, then only the combo. */
function callsOf(block: ComboBlock, stage: Stage): CallStyle {
  if (stage === 'as-set' || block.calls === 'silent') return block.calls;
  return stage === 'parts' ? 'on-beat' : stage === 'joined' ? 'one-count' : 'lead-in';
}
