import { analyseCombo, isHeard, neededGap, type ClockSettings, type Limb } from '../../body/index.ts';
import type { Lead, MoveBook } from '../../moves/index.ts';
import type { BlockCombo, CompiledRound, Cycle } from '../../rounds/index.ts';
import { toNumber, type Seconds } from '../../units/index.ts';

/** A strike of a round, and where in its combo it stands. */
export interface DueInRound {
  readonly at: Seconds;
  readonly limb: Limb;
  readonly block: string;
  /** Null for strikes of no combo. */
  readonly combo: string | null;
  readonly cycle: number;
  /** Place in the line. */
  readonly stroke: number;
  readonly lead: Lead | null;
}

/** Two hands that land at once are one sound. */
const AT_ONCE: Seconds = 0.02;

/**
 * What is to be heard of a compiled round: every impact that is due, in order. Blocks, steps, feints and what the holder does are
 * silent.
 *
 * @example
 * dueStrikes({ cues: [{ at: 1, kind: 'strike', text: '', block: 'b', limb: 'left-hand' }], cycles: [] }).length // 1
 */
export function dueStrikes({ cues, cycles }: Pick<CompiledRound, 'cues' | 'cycles'>): DueInRound[] {
  const leads = new Map(cycles.map(({ block, cycle, lead }) => [`${block} ${cycle}`, lead]));
  return apart(
    cues.flatMap(({ at, kind, limb, silent, block, combo = null, cycle = 0, stroke = 0 }) =>
      kind === 'strike' && limb !== undefined && silent !== true
        ? [{ at, limb, block, combo, cycle, stroke, lead: leads.get(`${block} ${cycle}`) ?? null }]
        : [],
    ),
  );
}

/**
 * The same for one group of a class: where it does a combo of its own to the same clock, the strikes of that one.
 *
 * @example
 * dueInLane(round, 'Ebb', [], book).length === dueStrikes(round).length // true
 */
export function dueInLane(
  round: Pick<CompiledRound, 'cues' | 'cycles'>,
  group: string,
  combos: readonly BlockCombo[],
  book: MoveBook,
): DueInRound[] {
  const own = round.cycles.flatMap((cycle) => {
    const lane = cycle.lanes?.find((each) => each.group === group);
    const combo = lane && lane.combo !== cycle.combo && combos.find(({ id }) => id === lane.combo);
    return combo ? [{ cycle, combo }] : [];
  });
  const others = new Set(own.map(({ cycle }) => `${cycle.block} ${cycle.cycle}`));
  const due = dueStrikes(round).filter(({ block, cycle }) => !others.has(`${block} ${cycle}`));
  return [...due, ...own.flatMap(({ cycle, combo }) => dueOfTime(cycle, combo, book))].sort(
    (a, b) => a.at - b.at,
  );
}

function dueOfTime(cycle: Cycle, combo: BlockCombo, book: MoveBook): DueInRound[] {
  const { block, lead } = cycle;
  return impactBeats(combo.line, lead, book).map(({ beat, stroke, limb }) => ({
    at: cycle.at + beat * cycle.beatSeconds,
    limb,
    block,
    combo: combo.id,
    cycle: cycle.cycle,
    stroke,
    lead,
  }));
}

/** An impact of a line. */
export interface ImpactBeat {
  /** From the start of the line. */
  readonly beat: number;
  /** Place in the line. */
  readonly stroke: number;
  readonly limb: Limb;
}

/**
 * The impacts of a line, in order; none for a line that cannot be read.
 *
 * @example
 * impactBeats('1 2', 'left', book).map(({ beat }) => beat) // [0, 1]
 */
export function impactBeats(line: string, lead: Lead, book: MoveBook): ImpactBeat[] {
  const read = analyseCombo(line, book, lead);
  if (!read.ok) return [];
  const heard = read.walk.strokes.filter(isHeard);
  return heard
    .map(({ beat, index, limb }) => ({ beat: toNumber(beat), stroke: index, limb }))
    .filter(({ beat }, i, all) => i === 0 || beat > all[i - 1]!.beat);
}

function apart(due: readonly DueInRound[]): DueInRound[] {
  const kept: DueInRound[] = [];
  for (const strike of due) {
    const last = kept.at(-1);
    if (!last || strike.at - last.at >= AT_ONCE) kept.push(strike);
  }
  return kept;
}

/**
 * The least time between two impacts of a line by the limb clock, by their places among its impacts; null where the clock says nothing.
 *
 * @example
 * leastGaps('1 1', 'left', book, { factor: 1 })(0, 1) > 0.1 // true
 */
export function leastGaps(
  line: string,
  lead: Lead,
  book: MoveBook,
  settings: ClockSettings,
): (from: number, to: number) => Seconds | null {
  const read = analyseCombo(line, book, lead);
  const strokes = read.ok ? read.walk.strokes : [];
  const impacts = impactBeats(line, lead, book).map(({ stroke }) => strokes[stroke]!);
  return (from, to) => {
    const [earlier, later] = [impacts[from], impacts[to]];
    return earlier && later ? neededGap(earlier, later, settings).seconds : null;
  };
}
