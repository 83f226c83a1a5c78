import { unrollRounds, sessionSeconds } from '@eurhythm/core/plan';
import { formFromMove, moveFromForm, type GymFile } from '@eurhythm/contract';
import { getTableColumns } from 'drizzle-orm';
import type { PgTable } from 'drizzle-orm/pg-core';
import * as schema from '../../store/schema.ts';

/** The lists of a file, by their names. */
export type PartName = Exclude<keyof GymFile, 'format' | 'version' | 'madeAt' | 'whole' | 'gym'>;
export type Item = Readonly<Record<string, unknown>>;
type Row = Record<string, unknown>;

/**
 * A table, described once: the list of a file that stands for it, what tells its things apart, what they name, and whose they are. Export,
 * import, the check of references, and erasing a person go by this description.
 */
export interface Part {
  readonly name: PartName;
  /** What its things are called, as a report tells them. */
  readonly label: string;
  readonly table: PgTable;
  /** What tells two of its things apart. */
  readonly keys: readonly string[];
  /** Whether its things stand in an order that their place in the list tells. */
  readonly inOrder: boolean;
  /** Fields that stay as they are here where a file does not tell them. */
  readonly keeps: readonly string[];
  /** Fields that name a thing of another list; one that is null names none. */
  readonly refers: Readonly<Record<string, PartName>>;
  /** The field of the person whose it is: erased with the person. Null where it is nobody's own. */
  readonly person: string | null;
  toRow(item: Item): Row;
  fromRow(row: Row): Item;
}

/** Columns that a file does not tell: they follow from the rest, or belong to this one database. */
const LEFT_OUT = new Set(['version', 'heldRounds', 'seconds:sessions', 'count', 'position', 'gone:runs']);

interface More extends Partial<Pick<Part, 'keys' | 'inOrder' | 'keeps' | 'refers' | 'person'>> {
  /** Columns of a row that follow from the rest. */
  readonly also?: (item: never) => Row;
  readonly toRow?: (item: never) => Row;
  readonly fromRow?: (row: never) => Item;
}

/** Describes a table: what is not said is as most tables are. */
export function part(name: PartName, label: string, table: PgTable, more: More = {}): Part {
  const columns = getTableColumns(table);
  const isDate = (key: string): boolean => columns[key]?.dataType === 'date';
  const plainRow = (item: Item): Row =>
    Object.fromEntries(
      Object.keys(columns)
        .filter((key) => item[key] !== undefined)
        .map((key) => [key, isDate(key) && item[key] !== null ? new Date(item[key] as string) : item[key]]),
    );
  const plainItem = (row: Row): Item =>
    Object.fromEntries(
      Object.entries(row)
        .filter(([key]) => !LEFT_OUT.has(key) && !LEFT_OUT.has(`${key}:${name}`))
        .map(([key, value]) => [key, value instanceof Date ? value.toISOString() : value]),
    );
  const { keys = ['id'], inOrder = false, keeps = [], refers = {}, person = null } = more;
  const { also, toRow, fromRow } = more;
  return {
    name,
    label,
    table,
    keys,
    inOrder,
    keeps,
    refers,
    person,
    toRow: (item) => ({ ...(toRow ? toRow(item as never) : plainRow(item)), ...also?.(item as never) }),
    fromRow: (row) => (fromRow ? fromRow(row as never) : plainItem(row)),
  };
}

type Of<K extends PartName> = NonNullable<GymFile[K]>[number];

/** Every list of a file, in the order in which they can be written: what others name comes first. */
export const PARTS: readonly Part[] = [
  part('grades', 'grades', schema.grades, { inOrder: true }),
  part('moves', 'moves', schema.moves, {
    refers: { minGrade: 'grades', easier: 'moves' },
    keys: ['code'],
    inOrder: true,
    toRow: ({ code, retired, ...form }: Of<'moves'>) => ({ code, retired, move: moveFromForm(code, form) }),
    fromRow: ({ code, retired, move }: typeof schema.moves.$inferSelect) => ({
      code,
      retired,
      ...formFromMove({ ...move, aliases: move.aliases ?? [], role: move.role ?? null }),
    }),
  }),
  part('numbers', 'numbers', schema.numbers, { keys: ['number'] }),
  part('combos', 'combos', schema.combos, { refers: { gradeId: 'grades' } }),
  part('comboVersions', 'states of combos', schema.comboVersions, {
    refers: { comboId: 'combos' },
    keys: ['comboId', 'at'],
  }),
  part('techniques', 'technique lists', schema.techniqueLists, {
    refers: { gradeId: 'grades' },
    keys: ['gradeId'],
  }),
  part('fighters', 'fighters', schema.fighters, {
    refers: { gradeId: 'grades' },
    person: 'id',
    also: ({ care = null }: Of<'fighters'>) => ({ care }),
  }),
  part('sessions', 'sessions', schema.sessions, {
    also: ({ rounds, plannedFor = null, word = '', groups = [] }: Of<'sessions'>) => ({
      word,
      groups,
      plannedFor: plannedFor === null ? null : new Date(plannedFor),
      heldRounds: unrollRounds(rounds).length,
      seconds: sessionSeconds(rounds),
    }),
  }),
  part('sheets', 'class sheets', schema.classSheets, {
    refers: { sessionId: 'sessions' },
    keys: ['sessionId'],
  }),
  part('themes', 'themes', schema.themes),
  part('seasons', 'seasons', schema.seasons),
  part('library', 'pieces of the library', schema.libraryItems),
  part('tests', 'tests', schema.tests),
  part('runs', 'runs', schema.runs, { refers: { sessionId: 'sessions' } }),
  part('runEvents', 'steps of runs', schema.runEvents, {
    refers: { runId: 'runs' },
    keys: ['runId', 'sequence'],
  }),
  part('results', 'marks', schema.roundResults, {
    refers: { runId: 'runs', fighterId: 'fighters' },
    person: 'fighterId',
    keys: ['runId', 'round', 'fighterId'],
    also: ({ seconds = null, lead = null, comboId = null }: Of<'results'>) => ({ seconds, lead, comboId }),
  }),
  part('attempts', 'trials', schema.attempts, {
    refers: { fighterId: 'fighters', runId: 'runs', testId: 'tests' },
    person: 'fighterId',
    also: ({ said = null, measured = 'taps', history = [], heard = null, value = null }: Of<'attempts'>) => ({
      said,
      measured,
      history,
      heard,
      value,
    }),
    keeps: ['history', 'heard', 'value'],
  }),
  part('homeReports', 'reports from home', schema.homeReports, {
    refers: { fighterId: 'fighters' },
    person: 'fighterId',
  }),
  part('removedAttempts', 'trials that were taken out', schema.removedAttempts),
  part('requirements', 'lists of what grades ask for', schema.gradeRequirements, {
    refers: { gradeId: 'grades' },
    keys: ['gradeId'],
  }),
  part('shownMarks', 'marks of what was shown', schema.shownMarks, {
    refers: { fighterId: 'fighters' },
    person: 'fighterId',
    keys: ['fighterId', 'requirementId'],
  }),
  part('gradings', 'signed sheets', schema.gradings, {
    refers: { fighterId: 'fighters' },
    person: 'fighterId',
    also: ({
      secondExaminer = '',
      reason = '',
      previousGradeId = null,
      withdrawn = null,
    }: Of<'gradings'>) => ({
      ...{ secondExaminer, reason, previousGradeId, withdrawn },
    }),
  }),
  part('gradingDays', 'days of grading', schema.gradingDays),
  part('goals', 'goals', schema.goals, {
    refers: { fighterId: 'fighters', testId: 'tests' },
    person: 'fighterId',
  }),
  part('recalls', 'answers of memory', schema.recalls, {
    refers: { fighterId: 'fighters' },
    person: 'fighterId',
    also: ({ runId = null }: Of<'recalls'>) => ({ runId }),
  }),
  part('ownCalls', 'own calls', schema.ownCalls, { keys: ['text'] }),
];

/** A list of a file; nothing where it is missing. */
export function itemsOf(
  file: Partial<Record<PartName, unknown>>,
  name: PartName,
): readonly Item[] | undefined {
  return file[name] as readonly Item[] | undefined;
}

/** What tells a thing apart among those of its list. */
export function keyOf({ keys }: Pick<Part, 'keys'>, item: Item): string {
  return keys.map((key) => String(item[key])).join(' ');
}

/** As JSON sees it: classes are what they hold, and what is not there is missing. */
export function plain<T>(value: T): T {
  return JSON.parse(JSON.stringify(value)) as T;
}
