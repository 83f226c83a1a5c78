import { switchForms } from '../calls/index.ts';
import type { Lead } from '../moves/index.ts';
import type { Seconds } from '../units/index.ts';
import type { LayOutContext } from './layOutContext.ts';

/** A change of lead is said so soon after its instant, or not at all. */
const SOON: Seconds = 1.5;

/** Calls a lead where those who train stand in the other one; who stands right hears nothing. */
export function callLead(
  lead: Lead,
  at: Seconds,
  block: string,
  { standing, layout }: Pick<LayOutContext, 'standing' | 'layout'>,
): void {
  if (standing.lead === lead) return;
  standing.lead = lead;
  layout.calls.push({
    forms: switchForms(lead),
    priority: 'stance',
    place: { kind: 'start', at, latest: at + SOON },
    cue: { kind: 'stance', block, lead },
  });
}
