import { walkStance } from '../../../body/index.ts';
import { parseLine } from '../../../line/index.ts';
import { isStrike, otherLead, type Lead, type MoveBook } from '../../../moves/index.ts';
import { numberText } from '../../../units/index.ts';
import { NO_STRIKES, tallyStrikes, type StrikeCount } from '../../strikeCount.ts';
import { BY_THE_CLOCK, type BlockKind } from '../blockKind.ts';
import { COUNT_PACE, mostReps, sideOfLine, tellGroups } from '../counting.ts';
import { USUAL_COUNT_BLOCK, type CountBlock } from './countBlock.ts';
import { countSteps } from './countSteps.ts';
import { linesOfTasks, taskForms, tasksOf } from '../groupTasks.ts';
import { saidIn } from '../saidInLine.ts';
import { lineInWords } from '../combo/lineInWords.ts';
import { countScenes } from './countScenes.ts';
import { countForms, layOutCount } from './layOutCount.ts';

/** How many of it there are, reported behind the number. */
const SIDE_WORDS = { both: ' each side', one: '', 'in-turn': ', sides in turn' } as const;

export const countKind: BlockKind<CountBlock> = {
  ...BY_THE_CLOCK,
  name: 'On the count',
  stretches: false,
  usual: (id) => ({ ...USUAL_COUNT_BLOCK, id }),
  tell: ({ title, reps, sides, sets, groups }) =>
    `${title}: ${numberText(reps)}${SIDE_WORDS[sides]} × ${numberText(sets)}${tellGroups(groups)}`,
  isCounted: () => true,
  contact: ({ intensity = [] }) => Math.max(0, ...intensity),
  length: (block, book, factor) => countSteps(block, book, factor).seconds,
  written: ({ line, groups }) => [{ field: 'line', line }, ...linesOfTasks(groups)],
  done: (block) => [block.line, ...linesOfTasks(block.groups).map(({ line }) => line)],
  worked: (block, group, { lead, book }) => {
    const own = block.groups.find((each) => each.group === group);
    const line = own?.line ?? block.line;
    const done = lineInWords(line, book, lead);
    const isNamed = own?.line === undefined && block.title.toLowerCase() !== done;
    const side = sideOfLine(line, book, lead);
    const where = { both: ' each side', one: side ? `, ${side} side` : '', 'in-turn': ', sides in turn' };
    return [
      `${isNamed ? `${block.title} (${done})` : done}: ${setsOf(block.sets)}${own?.reps ?? block.reps}${where[block.sides]}`,
    ];
  },
  spells: ({ seconds, sets, rest }) => {
    const work = (seconds - (sets - 1) * rest) / sets;
    return rest > 0 && work > 0 ? Array.from({ length: sets }, () => work) : [seconds];
  },
  ofGroup: (block, group) => {
    const own = block.groups.find((each) => each.group === group);
    return { ...block, reps: own?.reps ?? block.reps, line: own?.line ?? block.line, groups: [] };
  },
  groups: ({ groups }) => groups.map(({ group }) => group),
  *texts(block, book, count) {
    // Which words are counted does not depend on the pace.
    yield* saidIn(block.line, book);
    for (const task of tasksOf(block.groups)) yield* taskForms(task, book);
    const { steps } = countSteps(block, book, COUNT_PACE);
    const firsts = sideOfLine(block.line, book, 'left') === null ? [null] : (['left', 'right'] as const);
    for (const first of firsts) for (const step of steps) yield* countForms(step, block, count, first);
  },
  scenes: countScenes,
  layOut: layOutCount,
  strikes: countedStrikes,
};

/** "2 sets of " before what a set holds; nothing for one. */
const setsOf = (sets: number): string => (sets === 1 ? '' : `${sets} sets of `);

function countedStrikes(block: CountBlock, book: MoveBook, lead: Lead): StrikeCount {
  const parsed = parseLine(block.line, book);
  if (!parsed.ok) return NO_STRIKES;
  const times = block.sets * mostReps(block.reps, block.groups);
  const leads = block.sides === 'one' ? [lead] : [lead, otherLead(lead)];
  // Where the side changes each time, the first side has the odd one.
  const share = (i: number): number => (block.sides === 'in-turn' ? Math.ceil((times - i) / 2) : times);
  return tallyStrikes(
    leads.flatMap((from, i) =>
      walkStance(parsed.line, book, from)
        .strokes.filter(({ stroke, move }) => stroke.by === 'fighter' && isStrike(move))
        .map(({ move, limb, level }) => ({ move: move.name, limb, level, times: share(i) })),
    ),
  );
}
