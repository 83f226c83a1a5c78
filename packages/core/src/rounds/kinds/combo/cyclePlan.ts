import { walkStance, type Walk } from '../../../body/index.ts';
import { parseLine } from '../../../line/index.ts';
import type { Lead, MoveBook } from '../../../moves/index.ts';
import { even } from '../../../teach/index.ts';
import { beatSeconds, fraction, roundUpTo, toNumber, type Bpm } from '../../../units/index.ts';
import type { BlockCombo } from './comboBlock.ts';
import type { Stage } from './tempoOf.ts';

/** Recovery after the last stroke is reckoned at club pace. */
const CLUB_PACE = 1.25;
/** A cycle set by the coach may not be over before its last impact, and leaves this many beats after it. */
const SHORTEST_PAUSE = 0.5;

/** A combo walked from one lead, with its length in beats. */
export interface CyclePlan {
  readonly combo: BlockCombo;
  readonly walk: Walk;
  readonly beats: number;
  readonly lastImpact: number;
}

/**
 * Walks a combo from a lead and gives the cycle its length: last impact, recovery and a beat for a change of lead,
 * rounded up to whole bars, or what the coach set. Null when the line cannot be read.
 *
 * @example
 * planCycle(combo, book, 'left', 80).beats // 4
 */
export function planCycle(combo: BlockCombo, book: MoveBook, lead: Lead, bpm: Bpm): CyclePlan | null {
  return cyclePlanner(book)(combo, lead, bpm, 'as-set');
}

export type CyclePlanner = (combo: BlockCombo, lead: Lead, bpm: Bpm, stage: Stage) => CyclePlan | null;

/** Plans cycles; each line is walked once for each lead and stage, and measured once for each tempo, however often it comes. */
export function cyclePlanner(book: MoveBook): CyclePlanner {
  const walks = new Map<string, Walk | null>();
  const plans = new Map<string, CyclePlan | null>();
  const walkOf = (line: string, lead: Lead, stage: Stage): Walk | null => {
    const key = `${stage === 'parts' ? 'even' : 'as-set'} ${lead} ${line}`;
    let walk = walks.get(key);
    if (walk === undefined) walks.set(key, (walk = walked(line, book, lead, stage)));
    return walk;
  };
  return (combo, lead, bpm, stage) => {
    const key = `${combo.id} ${stage} ${lead} ${bpm} ${combo.beatsPerBar} ${combo.cycleBeats ?? ''} ${combo.line}`;
    let plan = plans.get(key);
    if (plan === undefined) {
      const walk = walkOf(combo.line, lead, stage);
      plans.set(
        key,
        (plan = walk && {
          combo,
          walk,
          beats: cycleLength(walk, lead, { ...combo, bpm }),
          lastImpact: lastImpactOf(walk),
        }),
      );
    }
    return plan;
  };
}

function walked(line: string, book: MoveBook, lead: Lead, stage: Stage): Walk | null {
  const parsed = parseLine(line, book);
  if (!parsed.ok) return null;
  if (stage !== 'parts') return walkStance(parsed.line, book, lead);
  const slow = parseLine(even(parsed.line), book);
  return slow.ok ? walkStance(slow.line, book, lead) : null;
}

/** The tempo at which a recovery is reckoned where a line has none. */
const PLAIN_BPM: Bpm = 90;
const PLAIN_BAR = 4;

/** What decides how long one time through is; what is missing is as usual. */
interface CycleSetting {
  readonly bpm?: Bpm | undefined;
  readonly beatsPerBar?: number | undefined;
  readonly cycleBeats?: number | null | undefined;
}

/**
 * The length of one time through in beats: last impact, recovery and a beat for a change of lead, rounded up to whole
 * bars, or what the coach set.
 *
 * @example
 * cycleLength(walk('1 2'), 'left', { bpm: 80 }) // 4
 */
export function cycleLength(
  walk: Walk,
  lead: Lead,
  { bpm = PLAIN_BPM, beatsPerBar = PLAIN_BAR, cycleBeats }: CycleSetting,
): number {
  const last = walk.strokes.findLast((stroke) => stroke.stroke.by === 'fighter');
  const lastImpact = lastImpactOf(walk);
  if (cycleBeats) return Math.max(cycleBeats, lastImpact + SHORTEST_PAUSE, toNumber(walk.beats));
  const recovery = (last?.move.back ?? 0) * CLUB_PACE;
  // A fighter who ends in the other lead needs a beat to change back before the next cycle.
  const changeBack = walk.end.lead === lead ? 0 : 1;
  const busy = Math.max(lastImpact + recovery / beatSeconds(bpm), toNumber(walk.beats)) + changeBack;
  const whole = fraction(Math.max(1, Math.ceil(busy * 720 - 1e-6)), 720);
  return toNumber(roundUpTo(whole, fraction(beatsPerBar)));
}

function lastImpactOf(walk: Walk): number {
  return walk.strokes.reduce((most, stroke) => Math.max(most, toNumber(stroke.beat)), 0);
}
