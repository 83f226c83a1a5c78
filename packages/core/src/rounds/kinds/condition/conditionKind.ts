import type { BlockTime, LayOutContext } from '../../layOutContext.ts';
import type { Scene, SceneGround } from '../../scene.ts';
import { numberText, type Seconds } from '../../../units/index.ts';
import { groupDoneForms } from '../../../calls/index.ts';
import { BY_THE_CLOCK, type BlockKind } from '../blockKind.ts';
import {
  BEFORE_BLOCK_ENDS,
  OPENING,
  lanesAt,
  mostReps,
  sayAbout,
  tellCut,
  tellGroups,
  tellWordsEnd,
  wordOfCount,
  type GroupReps,
} from '../counting.ts';
import {
  LANE_OPENING,
  linesOfTasks,
  sayTasks,
  taskForms,
  taskName,
  tasksOf,
  withTaskOf,
} from '../groupTasks.ts';
import { USUAL_CONDITION_BLOCK, type ConditionBlock } from './conditionBlock.ts';

export const conditionKind: BlockKind<ConditionBlock> = {
  ...BY_THE_CLOCK,
  name: 'Condition',
  usual: (id) => ({ ...USUAL_CONDITION_BLOCK, id }),
  tell: ({ title, reps, groups }) =>
    `${title}${reps === null ? '' : `: ${numberText(reps)}${tellGroups(groups)}`}`,
  isCounted: ({ reps }) => reps !== null,
  length: ({ reps, groups, repSeconds }) =>
    reps === null ? null : openingOf(groups) + mostReps(reps, groups) * repSeconds,
  written: ({ groups }) => linesOfTasks(groups),
  done: ({ groups }) => linesOfTasks(groups).map(({ line }) => line),
  ofGroup: withTaskOf,
  groups: ({ groups }) => groups.map(({ group }) => group),
  *texts({ title, reps, groups }, book, count) {
    yield title.toLowerCase();
    for (const task of tasksOf(groups)) yield* taskForms(task, book);
    if (reps === null) return;
    for (let n = 1; n <= mostReps(reps, groups); n++) {
      const word = wordOfCount(n, count);
      if (word === '') continue;
      yield word;
    }
    yield* groups.flatMap(({ group }) => groupDoneForms(group));
  },
  scenes: scenesOfCondition,
  layOut: layOutCondition,
};

/** The exercise is named, then those of groups that do another one. */
const openingOf = (groups: ConditionBlock['groups']): Seconds =>
  OPENING + tasksOf(groups).length * LANE_OPENING;

function scenesOfCondition(
  { title, reps, groups, repSeconds }: ConditionBlock,
  { from }: Pick<BlockTime, 'from'>,
  { book }: SceneGround,
): Scene[] {
  if (reps === null) return [{ at: from, what: title }];
  const most = mostReps(reps, groups);
  const nameOf = (group: GroupReps): string => taskName(group, book) || title;
  const first = from + openingOf(groups);
  return [
    { at: from, what: title, how: [`${most} in all`], until: first, lanes: lanesAt(groups, 0, nameOf) },
    ...Array.from({ length: most }, (_, i) => ({
      at: first + i * repSeconds,
      what: title,
      count: { n: i + 1, of: most },
      lanes: lanesAt(groups, i + 1, nameOf),
    })),
  ];
}

/** An exercise: named, then counted, or left to the clock. */
function layOutCondition(
  { id, title, reps, groups, repSeconds }: ConditionBlock,
  { from, to }: BlockTime,
  { book, count, layout }: LayOutContext,
): void {
  sayAbout(layout, id, { forms: [title.toLowerCase()], at: from + 1, priority: 'combo', slack: 2 });
  sayTasks(layout, id, tasksOf(groups), from + OPENING - 0.6, book);
  if (reps === null) return;
  const most = mostReps(reps, groups);
  tellWordsEnd(layout, id, from, count, most);
  for (let rep = 1; rep <= most; rep++) {
    const at = from + openingOf(groups) + (rep - 1) * repSeconds;
    if (at >= to - BEFORE_BLOCK_ENDS) {
      tellCut(layout, id, to, rep - 1, most);
      break;
    }
    layout.cues.push({ at, kind: 'tick', text: String(rep), block: id, sound: 'tick-beat' });
    const word = wordOfCount(rep, count);
    if (word !== '')
      layout.calls.push({
        forms: [word],
        priority: 'count',
        place: { kind: 'centre', at },
        cue: { kind: 'call', block: id },
      });
    for (const { group, reps: own } of groups)
      if (own === rep && own < most)
        sayAbout(layout, id, {
          forms: groupDoneForms(group),
          at: at + 0.25,
          priority: 'prompt',
          slack: repSeconds - 0.25,
        });
  }
}
