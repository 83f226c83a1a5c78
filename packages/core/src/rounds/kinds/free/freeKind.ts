import { pick, type Seconds } from '../../../units/index.ts';
import type { BlockTime, LayOutContext } from '../../layOutContext.ts';
import { leadStretches, type SteadyLeadPlan } from '../../leadStretches.ts';
import { callLead } from '../../callLead.ts';
import type { BlockBase, Waits } from '../blockBase.ts';
import { AFTER_BELL } from '../counting.ts';
import { BY_THE_CLOCK, type BlockKind } from '../blockKind.ts';

/** Shadowboxing: move freely, with a spoken prompt at random instants. */
export interface FreeBlock extends BlockBase {
  readonly kind: 'free';
  readonly prompts: readonly string[];
  /** Wait between two prompts. */
  readonly every: Waits;
  readonly leadPlan: SteadyLeadPlan;
}

/** Shadowboxing as a coach would begin it. */
export const USUAL_FREE_BLOCK = {
  kind: 'free',
  seconds: 120,
  prompts: ['Hands high', 'Move your head', 'Circle out', 'Change lead'],
  every: { min: 8, max: 14 },
  leadPlan: 'halves',
} as const satisfies Omit<FreeBlock, 'id'>;

export const freeKind: BlockKind<FreeBlock> = {
  ...BY_THE_CLOCK,
  name: 'Shadow',
  usual: (id) => ({ ...USUAL_FREE_BLOCK, id }),
  tell: ({ prompts }) => prompts.join(', ') || 'no prompts',
  prompts: ({ prompts }) => prompts,
  texts: ({ prompts }) => prompts.map((prompt) => prompt.toLowerCase()),
  scenes: ({ leadPlan }, time, { lead }) =>
    leadStretches(leadPlan, lead, time).map(({ from, lead: own }) => ({
      at: from,
      what: 'Shadow',
      how: [`${own} lead`],
    })),
  layOut: layOutFree,
};

/** Prompts at random waits, never the same one twice in a row, none in the last count. */
function layOutFree(block: FreeBlock, time: BlockTime, context: LayOutContext): void {
  const { lead, random, layout } = context;
  for (const [i, stretch] of leadStretches(block.leadPlan, lead, time).entries())
    callLead(stretch.lead, stretch.from + (i === 0 ? AFTER_BELL : 0.05), block.id, context);
  if (block.prompts.length === 0) return;
  const wait = (): Seconds => block.every.min + random() * (block.every.max - block.every.min);
  let last = '';
  for (let at = time.from + 2 + wait(); at < Math.min(time.to - 1.5, time.workEnds - 7); at += wait()) {
    const others = block.prompts.filter((prompt) => prompt !== last);
    last = pick(random, others.length > 0 ? others : block.prompts);
    layout.calls.push({
      forms: [last.toLowerCase()],
      priority: 'prompt',
      place: { kind: 'start', at, latest: at + 2 },
      cue: { kind: 'call', block: block.id },
    });
  }
}
