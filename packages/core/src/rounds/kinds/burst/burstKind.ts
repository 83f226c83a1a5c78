import { BY_THE_CLOCK, type BlockKind } from '../blockKind.ts';
import type { BlockTime, LayOutContext } from '../../layOutContext.ts';
import { AFTER_BELL, sayTasks, taskForms, type GroupTask } from '../counting.ts';
import type { BlockBase } from '../blockBase.ts';

/** As many clean repetitions as fit. */
export interface BurstBlock extends BlockBase {
  readonly kind: 'burst';
  readonly title: string;
  /** Groups that do something else in the same seconds. */
  readonly groups?: readonly GroupTask[] | undefined;
}

/** What is done in a burst until a coach says otherwise. */
export const USUAL_BURST_TITLE = 'Two straights';

/** The bell starts it, groups of their own are told what they do, the last five seconds are counted. */
export const burstKind: BlockKind<BurstBlock> = {
  ...BY_THE_CLOCK,
  name: 'Burst',
  stretches: false,
  usual: (id) => ({ kind: 'burst', id, seconds: 10, title: USUAL_BURST_TITLE }),
  tell: (block) => allTold(block),
  groups: ({ groups = [] }) => groups.map(({ group }) => group),
  texts: ({ groups = [] }) => groups.flatMap(taskForms),
  layOut: layOutBurst,
};

const allTold = ({ title, groups = [] }: BurstBlock): string =>
  [title, ...groups.map((each) => `${each.group}: ${each.title}`)].join(' · ');

function layOutBurst(block: BurstBlock, { from }: BlockTime, { layout }: LayOutContext): void {
  layout.cues.push({ at: from, kind: 'show', text: allTold(block), block: block.id });
  sayTasks(layout, block.id, block.groups ?? [], from + AFTER_BELL);
}
