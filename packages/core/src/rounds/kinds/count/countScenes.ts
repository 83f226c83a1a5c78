import { otherLead, type Lead } from '../../../moves/index.ts';
import { lanesAt, mostReps, sideOfLine, sidePhrase, type GroupReps } from '../counting.ts';
import { taskName } from '../groupTasks.ts';
import type { BlockTime } from '../../layOutContext.ts';
import type { Scene, SceneGround } from '../../scene.ts';
import type { CountBlock, CountSpeed } from './countBlock.ts';
import { countSteps, type CountStep } from './countSteps.ts';

type Opened = Extract<CountStep, { kind: 'open' }>;
type Counted = Extract<CountStep, { kind: 'count' }>;

/** Each count as it is said, with the part, the height and the side that belong to it, and how far each group is. */
export function countScenes(
  block: CountBlock,
  { from, to }: Pick<BlockTime, 'from' | 'to'>,
  { lead, book, factor }: SceneGround,
): Scene[] {
  const { steps } = countSteps(block, book, factor);
  const first = sideOfLine(block.line, book, lead);
  const most = mostReps(block.reps, block.groups);
  const counts = countsOfReps(steps);
  const lanes = (begun: number) =>
    lanesAt(block.groups, begun, (group: GroupReps) => taskName(group, book) || block.title);
  const nextCount = (i: number) => from + (steps.slice(i + 1).find(isCount)?.at ?? to - from);
  let set: string[] = [];
  let speed: CountSpeed = 'usual';
  let contact: number | null = null;
  let opened: Opened | null = null;
  return steps.flatMap((step, i): Scene[] => {
    const at = from + step.at;
    switch (step.kind) {
      case 'open':
        opened = step;
        speed = step.speed ?? speed;
        contact = step.contact ?? contact;
        set = howOfSet(block, step, { speed, contact }, lead, first);
        return [{ at, what: block.title, how: set, until: nextCount(i), lanes: lanes(0) }];
      case 'change':
        speed = step.speed ?? speed;
        contact = step.contact ?? contact;
        set = opened ? howOfSet(block, opened, { speed, contact }, lead, first) : set;
        return [{ at, what: block.title, how: set, until: nextCount(i), lanes: lanes(0) }];
      case 'count': {
        const isWhole = counts[i] === 1;
        const how = [
          ...(step.shown === null ? [] : [step.shown]),
          ...(step.level === null ? [] : [step.level]),
          ...(isWhole ? [] : [`${step.rep + 1} of ${most}`]),
          ...(block.sides === 'in-turn' ? [sidePhrase(step.rep % 2 === 0 ? 'first' : 'other', first)] : []),
          ...set,
        ];
        const count = { n: step.n, of: isWhole ? most : counts[i]! };
        return [{ at, what: block.title, how, count, lanes: lanes(step.rep + 1) }];
      }
      case 'rest':
        return [{ at, what: 'rest', until: nextCount(i) }];
      case 'group-done':
        return [];
      default:
        return step satisfies never;
    }
  });
}

const isCount = (step: CountStep): step is Counted => step.kind === 'count';

/** For each step that counts: how many counts its repetition has. */
function countsOfReps(steps: readonly CountStep[]): number[] {
  let ofRep: number[] = [];
  const begun = steps.map((step) => {
    if (!isCount(step)) return [0];
    if (step.isFirst || ofRep.length === 0) ofRep = [0];
    ofRep[0]! += 1;
    return ofRep;
  });
  return begun.map(([counts]) => counts!);
}

function howOfSet(
  block: CountBlock,
  { side, set }: Opened,
  { speed, contact }: { readonly speed: CountSpeed; readonly contact: number | null },
  lead: Lead,
  first: Lead | null,
): string[] {
  return [
    ...(side === null ? [] : [sidePhrase(side, first)]),
    `${side === 'other' ? otherLead(lead) : lead} lead`,
    ...(block.from === 'standing' ? [] : [block.from]),
    ...(speed === 'usual' ? [] : [speed === 'slow' ? 'slow' : 'full speed']),
    ...(contact === null ? [] : [`contact ${contact} %`]),
    ...(block.sets > 1 ? [`set ${set + 1} of ${block.sets}`] : []),
  ];
}
