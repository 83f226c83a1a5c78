import { otherLead, type Lead } from '../moves/index.ts';
import type { Seconds } from '../units/index.ts';

/** From which lead: the round's own, the other one, or half the time each. */
export const STEADY_LEAD_PLANS = ['as-set', 'other', 'halves'] as const;
export type SteadyLeadPlan = (typeof STEADY_LEAD_PLANS)[number];

/** A stretch of a block that is done from one lead. */
export interface LeadStretch {
  readonly from: Seconds;
  readonly to: Seconds;
  readonly lead: Lead;
}

/**
 * Cuts a block's time by its lead plan.
 *
 * @example
 * leadStretches('halves', 'left', { from: 0, to: 60 }) // [{ from: 0, to: 30, lead: 'left' }, { from: 30, to: 60, lead: 'right' }]
 */
export function leadStretches(
  plan: SteadyLeadPlan,
  lead: Lead,
  { from, to }: { readonly from: Seconds; readonly to: Seconds },
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
