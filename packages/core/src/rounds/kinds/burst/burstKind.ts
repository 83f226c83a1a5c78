import { BY_THE_CLOCK, type BlockKind } from '../blockKind.ts';
import type { BlockTime, LayOutContext } from '../../layOutContext.ts';
import { AFTER_BELL } from '../counting.ts';
import {
  linesOfTasks,
  sayTasks,
  taskForms,
  taskName,
  tasksOf,
  withTaskOf,
  type GroupTask,
} from '../groupTasks.ts';
import type { MoveBook } from '../../../moves/index.ts';
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

/** The bell starts it, groups of their own hear what they do, the last five seconds are counted. */
export const burstKind: BlockKind<BurstBlock> = {
  ...BY_THE_CLOCK,
  name: 'Burst',
  stretches: false,
  usual: (id) => ({ kind: 'burst', id, seconds: 10, title: USUAL_BURST_TITLE }),
  tell: (block) => burstText(block),
  saidAhead: ({ title }) => title,
  written: ({ groups = [] }) => linesOfTasks(groups),
  done: ({ groups = [] }) => linesOfTasks(groups).map(({ line }) => line),
  worked: (block, group, { book }) => [`${titleFor(block, { group, book })}: ${block.seconds} s`],
  measures: (block, of) => ({ kind: 'burst', title: titleFor(block, of), seconds: block.seconds }),
  ofGroup: withTaskOf,
  groups: ({ groups = [] }) => groups.map(({ group }) => group),
  texts: ({ title, groups = [] }, book) => [
    title.toLowerCase(),
    ...groups.flatMap((task) => taskForms(task, book)),
  ],
  scenes: ({ title, groups = [] }, { from, to }, { book }) => [
    {
      at: from,
      what: title,
      how: ['as many clean ones as fit'],
      until: to,
      lanes: tasksOf(groups).map((task) => ({
        group: task.group,
        what: taskName(task, book),
        count: null,
        isDone: false,
      })),
    },
  ],
  layOut: layOutBurst,
};

/** What a group does in it, which may be something of its own. */
function titleFor(
  { title, groups = [] }: BurstBlock,
  of?: { readonly group: string; readonly book: MoveBook },
): string {
  const own = of && groups.find((each) => each.group === of.group);
  return (own && taskName(own, of.book)) || title;
}

const burstText = ({ title, groups = [] }: BurstBlock): string =>
  [title, ...groups.map(({ group, line = '', title = line }) => `${group}: ${title}`)].join(' · ');

function layOutBurst(
  block: BurstBlock,
  { from, afterPause }: BlockTime,
  { book, layout }: LayOutContext,
): void {
  layout.cues.push({ at: from, kind: 'show', text: burstText(block), block: block.id });
  // Nobody could say it before.
  if (!afterPause)
    layout.calls.push({
      forms: [block.title.toLowerCase()],
      priority: 'time',
      place: { kind: 'start', at: from + AFTER_BELL, latest: from + AFTER_BELL + 2 },
      cue: { kind: 'time', block: block.id },
    });
  sayTasks(layout, block.id, block.groups ?? [], from + AFTER_BELL, book);
}
