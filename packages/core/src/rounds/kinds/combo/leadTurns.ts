import { otherLead, type Lead } from '../../../moves/index.ts';
import type { Seconds } from '../../../units/index.ts';
import type { BlockTime } from '../../layOutContext.ts';
import { leadStretches } from '../../leadStretches.ts';
import { AFTER_BELL } from '../counting.ts';
import type { ComboBlock } from './comboBlock.ts';

/** A change of lead between two halves waits this long, so that the time call at half time comes first. */
const AFTER_HALF: Seconds = 1.2;

/** Sets that are done one after the other before the plan turns to the other lead. */
export interface LeadTurn {
  /** The first call comes no sooner; null for as soon as the turn before is done. */
  readonly from: Seconds | null;
  readonly to: Seconds;
  readonly lead: Lead;
  /** So many combos, and so many times through each. */
  readonly sets: number;
  readonly cycles: number;
}

/** The turns of a block: by the clock as its lead plan cuts it, or by repetitions, one turn for each lead. */
export function leadTurns(block: ComboBlock, lead: Lead, time: BlockTime): LeadTurn[] {
  const { leadPlan, cyclesEach: cycles } = block;
  if (block.times)
    return leadsInTurn(leadPlan, lead).map((each, i) => ({
      from: i === 0 ? time.from + AFTER_BELL : null,
      to: time.to,
      lead: each,
      sets: setsOf(block),
      cycles: block.times!,
    }));
  const steady = leadPlan === 'each' || leadPlan === 'random' ? 'as-set' : leadPlan;
  return leadStretches(steady, lead, time).map((stretch, i) => ({
    ...stretch,
    from: stretch.from + (i === 0 ? AFTER_BELL : AFTER_HALF),
    sets: Infinity,
    cycles,
  }));
}

/** Times through in all where they are counted; null by the clock. */
export function countedCycles(block: ComboBlock): number | null {
  return block.times ? leadsInTurn(block.leadPlan, 'left').length * setsOf(block) * block.times : null;
}

function leadsInTurn(plan: ComboBlock['leadPlan'], lead: Lead): readonly Lead[] {
  if (plan === 'as-set') return [lead];
  return plan === 'other' ? [otherLead(lead)] : [lead, otherLead(lead)];
}

/** Each combo comes once; the newest of a few comes once more. */
const setsOf = ({ combos, order }: ComboBlock): number => combos.length + (order === 'newest-twice' ? 1 : 0);
