import type { BlockTime, LayOutContext } from '../../layOutContext.ts';
import type { Scene, SceneGround } from '../../scene.ts';
import { numberText, type Seconds } from '../../../units/index.ts';
import { groupDoneForms, otherSideForms } from '../../../calls/index.ts';
import { BY_THE_CLOCK, type BlockKind } from '../blockKind.ts';
import {
  BEFORE_BLOCK_ENDS,
  OPENING,
  SIDE_WORDS,
  lanesAt,
  mostReps,
  sayAbout,
  sidesInTurn,
  tellCut,
  tellGroups,
  tellWordsEnd,
  wordOfCount,
  type GroupReps,
  type SideInTurn,
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
  tell: ({ title, reps, groups, sides }) =>
    `${title}${reps === null ? '' : `: ${numberText(reps)}`}${eachSide(sides)}${reps === null ? '' : tellGroups(groups)}`,
  isCounted: ({ reps }) => reps !== null,
  length: (block) =>
    block.reps === null
      ? null
      : openingOf(block.groups) +
        sidesOf(block).length * mostReps(block.reps, block.groups) * block.repSeconds +
        (sidesOf(block).length - 1) * OPENING,
  written: ({ groups }) => linesOfTasks(groups),
  done: ({ groups }) => linesOfTasks(groups).map(({ line }) => line),
  worked: ({ title, reps, groups, sides }, group, { book }) => {
    const own = groups.find((each) => each.group === group);
    const what = (own && taskName(own, book)) || title;
    return [`${reps === null ? what : `${what}: ${own?.reps ?? reps}`}${eachSide(sides)}`];
  },
  ofGroup: withTaskOf,
  groups: ({ groups }) => groups.map(({ group }) => group),
  *texts({ title, reps, groups, sides }, book, count) {
    yield title.toLowerCase();
    if (sides === 'both') yield* otherSideForms(title.toLowerCase());
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

const eachSide = (sides: ConditionBlock['sides']): string => (sides === 'both' ? ' each side' : '');
const sidesOf = ({ sides = 'one' }: ConditionBlock) => sidesInTurn(sides);

/** When the count of each side begins, from the start of the block; without a count the sides share its time. */
function sideStarts(
  block: ConditionBlock,
  seconds: Seconds,
): { readonly side: SideInTurn; readonly at: Seconds }[] {
  const { reps, groups, repSeconds } = block;
  const sides = sidesOf(block);
  const each = reps === null ? seconds / sides.length : mostReps(reps, groups) * repSeconds + OPENING;
  return sides.map((side, i) => ({ side, at: (reps === null ? 0 : openingOf(groups)) + i * each }));
}

/** The exercise is named, then those of groups that do another one. */
const openingOf = (groups: ConditionBlock['groups']): Seconds =>
  OPENING + tasksOf(groups).length * LANE_OPENING;

function scenesOfCondition(
  block: ConditionBlock,
  { from, to }: Pick<BlockTime, 'from' | 'to'>,
  { book }: SceneGround,
): Scene[] {
  const { title, reps, groups, repSeconds } = block;
  const starts = sideStarts(block, to - from);
  const sideOf = (side: SideInTurn): string[] => (side === null ? [] : [SIDE_WORDS[side]]);
  if (reps === null) return starts.map(({ side, at }) => ({ at: from + at, what: title, how: sideOf(side) }));
  const most = mostReps(reps, groups);
  const nameOf = (group: GroupReps): string => taskName(group, book) || title;
  return starts.flatMap(({ side, at }, i) => {
    const first = from + at;
    const how = sideOf(side);
    return [
      {
        at: i === 0 ? from : first - OPENING,
        what: title,
        how: [...how, `${most} in all`],
        until: first,
        lanes: lanesAt(groups, 0, nameOf),
      },
      ...Array.from({ length: most }, (_, rep) => ({
        at: first + rep * repSeconds,
        what: title,
        how,
        count: { n: rep + 1, of: most },
        lanes: lanesAt(groups, rep + 1, nameOf),
      })),
    ];
  });
}

/** An exercise: named, then counted, or left to the clock; on each side where it has sides. */
function layOutCondition(
  block: ConditionBlock,
  { from, to }: BlockTime,
  { book, count, layout }: LayOutContext,
): void {
  const { id, title, reps, groups } = block;
  sayAbout(layout, id, { forms: [title.toLowerCase()], at: from + 1, priority: 'combo', slack: 2 });
  sayTasks(layout, id, tasksOf(groups), from + OPENING - 0.6, book);
  const starts = sideStarts(block, to - from);
  for (const { side, at } of starts)
    if (side === 'other')
      sayAbout(layout, id, {
        forms: otherSideForms(title.toLowerCase()),
        at: from + at - (reps === null ? 0 : OPENING - 0.4),
        priority: 'combo',
        slack: 1.5,
      });
  if (reps === null) return;
  const most = mostReps(reps, groups);
  tellWordsEnd(layout, id, from, count, most);
  for (const [i, { at }] of starts.entries()) {
    const done = countSide(block, from + at, to, { count, layout });
    if (done === most) continue;
    tellCut(layout, id, to, i * most + done, starts.length * most);
    break;
  }
}

/** The repetitions of one side, each on its word; gives how many there was time for. */
function countSide(
  { id, reps, groups, repSeconds }: ConditionBlock,
  from: Seconds,
  to: Seconds,
  { count, layout }: Pick<LayOutContext, 'count' | 'layout'>,
): number {
  const most = mostReps(reps ?? 0, groups);
  for (let rep = 1; rep <= most; rep++) {
    const at = from + (rep - 1) * repSeconds;
    if (at >= to - BEFORE_BLOCK_ENDS) return rep - 1;
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
  return most;
}
