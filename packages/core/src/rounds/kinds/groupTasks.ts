import { walkStance } from '../../body/index.ts';
import { parseLine } from '../../line/index.ts';
import type { MoveBook } from '../../moves/index.ts';
import type { Seconds } from '../../units/index.ts';
import type { Layout } from '../cue.ts';
import type { WrittenLine } from './blockKind.ts';
import { sayAbout } from './counting.ts';

/** What a group does of its own while the others do theirs: a beat line, or something that only has a name. */
export interface GroupTask {
  readonly group: string;
  readonly line?: string | undefined;
  readonly title?: string | undefined;
}

/** Telling a group what it does instead takes so much longer. */
export const LANE_OPENING: Seconds = 1.8;

/**
 * The groups that do something else than the others.
 *
 * @example
 * tasksOf([{ group: 'Ebb', title: 'Push-ups' }, { group: 'Flood' }]).map(({ group }) => group) // ['Ebb']
 */
export function tasksOf<T extends GroupTask>(groups: readonly T[]): T[] {
  return groups.filter(({ line, title }) => Boolean(title) || Boolean(line));
}

/**
 * A block with the task of one of its groups alone.
 *
 * @example
 * withTaskOf({ groups: [{ group: 'Ebb', title: 'Push-ups' }, { group: 'Reef' }] }, 'Ebb').groups.length // 1
 */
export function withTaskOf<B extends { readonly groups?: readonly GroupTask[] | undefined }>(
  block: B,
  group: string,
): B {
  return { ...block, groups: (block.groups ?? []).filter((each) => each.group === group) };
}

/**
 * The lines of groups, each with its field.
 *
 * @example
 * linesOfTasks([{ group: 'Ebb', line: '1' }]) // [{ field: 'groups.0.line', line: '1' }]
 */
export function linesOfTasks(groups: readonly GroupTask[]): WrittenLine[] {
  return groups.flatMap(({ line }, i) => (line ? [{ field: `groups.${i}.line`, line }] : []));
}

/**
 * What tells a group what it does instead, longest form first: its name, and its exercise, its move or its strokes.
 *
 * @example
 * taskForms({ group: 'Ebb', title: 'Push-ups' }, book) // ['ebb, push-ups', 'ebb']
 * taskForms({ group: 'Ebb', line: 'f:push' }, book) // ['ebb, push kick', 'ebb']
 */
export function taskForms(task: GroupTask, book: MoveBook): string[] {
  const name = task.group.toLowerCase();
  const what = taskName(task, book).toLowerCase();
  return what === '' ? [name] : [`${name}, ${what}`, name];
}

/**
 * What a group does of its own, in words; empty when it does as the others.
 *
 * @example
 * taskName({ group: 'Ebb', line: 'f:push' }, book) // 'push kick'
 */
export function taskName({ title, line = '' }: GroupTask, book: MoveBook): string {
  return title ? title : spokenLine(line, book);
}

/** A line as it is named before it is done: a move by its name, several by their short ones. */
function spokenLine(line: string, book: MoveBook): string {
  const parsed = parseLine(line, book);
  if (!parsed.ok) return '';
  const own = walkStance(parsed.line, book, 'left').strokes.filter(({ stroke }) => stroke.by === 'fighter');
  const [first] = own;
  return own.length === 1 && first ? first.move.say.long : own.map(({ move }) => move.say.short).join(' ');
}

/**
 * Tells each group with a task of its own what it is, one after the other.
 *
 * @example
 * (layout => (sayTasks(layout, 'b', [{ group: 'Ebb', title: 'Push-ups' }], 3, book), layout.calls.length))(emptyLayout()) // 1
 */
export function sayTasks(
  layout: Layout,
  block: string,
  tasks: readonly GroupTask[],
  from: Seconds,
  book: MoveBook,
): void {
  for (const [i, task] of tasks.entries())
    sayAbout(layout, block, {
      forms: taskForms(task, book),
      at: from + i * LANE_OPENING,
      priority: 'combo',
      slack: 1,
    });
}
