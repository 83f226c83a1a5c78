import { WORK_LIMBS, type CompiledRound } from '../../rounds/index.ts';
import type { Limb } from '../../body/index.ts';
import type { Lead } from '../../moves/index.ts';
import type { Seconds } from '../../units/index.ts';

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

const STRIKING: ReadonlySet<string> = new Set([...WORK_LIMBS, 'both-hands']);
/** Two hands that land at once are one sound. */
const AT_ONCE: Seconds = 0.02;

/**
 * What is to be heard of a compiled round: every impact that is due, in order. Blocks, steps and what the holder does are silent.
 *
 * @example
 * dueStrikes({ cues: [{ at: 1, kind: 'strike', text: '', block: 'b', limb: 'left-hand' }], cycles: [] }).length // 1
 */
export function dueStrikes({ cues, cycles }: Pick<CompiledRound, 'cues' | 'cycles'>): DueInRound[] {
  const leads = new Map(cycles.map(({ block, cycle, lead }) => [`${block} ${cycle}`, lead]));
  const due: DueInRound[] = [];
  for (const { at, kind, limb, block, combo = null, cycle = 0, stroke = 0 } of cues) {
    if (kind !== 'strike' || limb === undefined || !STRIKING.has(limb)) continue;
    const last = due.at(-1);
    if (last && at - last.at < AT_ONCE) continue;
    due.push({ at, limb, block, combo, cycle, stroke, lead: leads.get(`${block} ${cycle}`) ?? null });
  }
  return due;
}
