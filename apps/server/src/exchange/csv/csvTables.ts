import { createHash } from 'node:crypto';
import { comboName } from '@eurhythm/core/plan';
import { worthwhileOf } from '@eurhythm/core/progress';
import { countOf, MEASURED } from '@eurhythm/core/speed';
import { groupBy } from '@eurhythm/core/units';
import type { FieldError, GymFile } from '@eurhythm/contract';
import { dayOf } from '../../progress/days.ts';
import { errorKey, type GymError, type GymErrors } from '../../progress/trials.service.ts';
import { trainedIn } from '../../runs/trained.ts';
import { readNumber, readTime, type TableWays } from './tableTimes.ts';
import type { WholeGymFile } from '../gymFile/readGym.ts';

/** A line of a table, by the names of its columns. */
export type CsvLine = Readonly<Record<string, string>>;

/** A column, and what stands in it, as it is explained. */
interface Column {
  readonly name: string;
  readonly about: string;
  /** Only reported: it is not read again. */
  readonly isForReading?: true;
}

/** A table that is taken away and brought in as CSV. */
export interface CsvTable {
  readonly columns: readonly Column[];
  /** @param errors how much trials and days differ over the gym: what verdicts rest on beside the trials */
  lines(gym: WholeGymFile, errors: GymErrors): readonly CsvLine[];
  /** The lines as a part of a gym; `errors` name the line (the first one below the head is line 2) and the column. */
  file(
    lines: readonly CsvLine[],
    gym: WholeGymFile,
    ways: TableWays,
  ): { readonly part: Partial<GymFile>; readonly errors: FieldError[] };
}

export const CSV_TABLES = ['fighters', 'results', 'attempts'] as const;
export type CsvTableName = (typeof CSV_TABLES)[number];

/** Signs between several values of one cell. */
const BETWEEN = ';';

const yes = (value: boolean): string => (value ? 'yes' : 'no');
const split = (cell: string): string[] =>
  cell
    .split(BETWEEN)
    .map((each) => each.trim())
    .filter((each) => each !== '');

/** Reads every line; `read` gives null where a sentence was reported. */
function readLines<T>(
  lines: readonly CsvLine[],
  read: (line: CsvLine, tell: (column: string, message: string) => null) => T | null,
): { items: T[]; errors: FieldError[] } {
  const items: T[] = [];
  const errors: FieldError[] = [];
  for (const [i, line] of lines.entries()) {
    const item = read(line, (column, message) => {
      errors.push({ field: `line ${i + 2}, ${column}`, message });
      return null;
    });
    if (item !== null) items.push(item);
  }
  return { items, errors };
}

/** An id for a line that has none: the same line again is the same thing. */
function idOf(...parts: readonly string[]): string {
  return createHash('sha256').update(parts.join('\n')).digest('hex').slice(0, 24);
}

const WRITTEN = 'like 2026-03-05T18:30:00Z, or in the order of the gym: 05.03.2026 18:30';

const fighters: CsvTable = {
  columns: [
    { name: 'id', about: 'made here; leave it empty for somebody new' },
    { name: 'name', about: 'first and last name' },
    { name: 'grade', about: 'name of the grade, as under Gym' },
    { name: 'lead', about: 'left or right: the foot in front' },
    { name: 'note', about: 'for the coach' },
    {
      name: 'fit',
      about:
        'yes or no; of somebody who is here already it is for reading only: change it on the page, with a reason',
    },
    { name: 'height_cm', about: 'empty where nobody measured' },
    { name: 'keep_apart', about: 'ids of those who should not be partners, with ; between' },
  ],
  lines: (gym) => {
    const gradeOf = new Map(gym.grades.map(({ id, name }) => [id, name]));
    return gym.fighters.map(({ id, name, gradeId, lead, note, fit, height, apart = [] }) => ({
      id,
      name,
      grade: gradeOf.get(gradeId) ?? '',
      lead,
      note,
      fit: yes(fit),
      height_cm: height === null || height === undefined ? '' : String(height),
      keep_apart: apart.join(BETWEEN),
    }));
  },
  file: (lines, gym, ways) => {
    const grades = new Map(gym.grades.map(({ id, name }) => [name.trim().toLowerCase(), id]));
    const known = new Map(gym.fighters.map((fighter) => [fighter.id, fighter]));
    const { items, errors } = readLines(lines, (line, tell) => {
      const { name = '', grade = '', lead = '', note = '', height_cm: height = '' } = line;
      const id = line['id'] || idOf(name, grade);
      const gradeId = grades.get(grade.trim().toLowerCase());
      if (gradeId === undefined) return tell('grade', `There is no grade “${grade}”.`);
      if (lead !== 'left' && lead !== 'right') return tell('lead', 'The lead is left or right.');
      if (height !== '' && !Number.isFinite(readNumber(height, ways)))
        return tell('height_cm', 'The height is a number of cm.');
      const kept = known.get(id);
      const { fit, fitReason, fitBy, fitAt } = kept ?? {
        fit: line['fit'] !== 'no',
        fitReason: '',
        fitBy: '',
        fitAt: null,
      };
      return {
        ...{ id, name, gradeId, lead, note, fit, fitReason, fitBy, fitAt },
        height: height === '' ? null : readNumber(height, ways),
        apart: split(line['keep_apart'] ?? ''),
      } as NonNullable<GymFile['fighters']>[number];
    });
    return { part: { fighters: items }, errors };
  },
};

const results: CsvTable = {
  columns: [
    { name: 'id', about: 'made here; leave it empty for a new mark' },
    { name: 'run', about: 'id of the session that was held' },
    { name: 'session', about: 'its title, for reading only', isForReading: true },
    { name: 'day', about: 'on which it was held, for reading only', isForReading: true },
    { name: 'round', about: 'which round of it, from 1 on' },
    { name: 'round_title', about: 'its title, for reading only', isForReading: true },
    { name: 'combos', about: 'that the fighter’s group did in it, for reading only', isForReading: true },
    { name: 'bpm', about: 'tempo of the round in beats a minute, for reading only', isForReading: true },
    { name: 'fighter', about: 'id of the fighter' },
    { name: 'fighter_name', about: 'for reading only', isForReading: true },
    { name: 'done', about: 'finished, part or sat-out' },
    { name: 'quality', about: 'clean, loose or wild; may be empty' },
    { name: 'seconds', about: 'of a part: after how many seconds of work; may be empty' },
    { name: 'lead', about: 'left or right, where it was another than planned; may be empty' },
    { name: 'at', about: `when it was marked, ${WRITTEN}` },
  ],
  lines: (gym) => {
    const runs = new Map(gym.runs.map((run) => [run.id, run]));
    const names = new Map(gym.fighters.map(({ id, name }) => [id, name]));
    const trained = trainedOf(gym);
    return gym.results
      .filter(({ done }) => done !== null)
      .map(({ id, runId, round, fighterId, done, quality, seconds, lead, at }) => ({
        id,
        run: runId,
        session: runs.get(runId)?.title ?? '',
        day: runs.has(runId) ? dayOf(new Date(runs.get(runId)!.startedAt)) : '',
        round: String(round + 1),
        round_title: runs.get(runId)?.rounds[round]?.title ?? '',
        ...trained(runId, round, fighterId),
        fighter: fighterId,
        fighter_name: names.get(fighterId) ?? '',
        done: done ?? '',
        quality: quality ?? '',
        seconds: String(seconds ?? ''),
        lead: lead ?? '',
        at,
      }));
  },
  file: (lines, _, ways) => {
    const { items, errors } = readLines(lines, (line, tell) => {
      const { run: runId = '', fighter: fighterId = '', done = '', quality = '' } = line;
      const round = Number(line['round'] || NaN);
      const at = readTime(line['at'] ?? '', ways)?.toISOString() ?? null;
      if (!Number.isInteger(round) || round < 1)
        return tell('round', 'The round is a whole number from 1 on.');
      if (at === null) return tell('at', `The time is written ${WRITTEN}.`);
      const id = line['id'] || idOf(runId, String(round), fighterId, at);
      return {
        id,
        runId,
        round: round - 1,
        fighterId,
        done,
        quality: quality === '' ? null : quality,
        seconds: line['seconds'] ? readNumber(line['seconds'], ways) : null,
        lead: line['lead'] || null,
        at,
      };
    });
    return { part: { results: items as NonNullable<GymFile['results']> }, errors };
  },
};

/** The combos of each round as the group of each fighter did it, and its tempo. */
function trainedOf(gym: WholeGymFile) {
  const gradeOf = new Map(gym.grades.map(({ id, name }) => [id, name]));
  const names = new Map(
    gym.combos.map((combo) => [combo.id, comboName({ ...combo, grade: gradeOf.get(combo.gradeId) ?? '' })]),
  );
  const runs = new Map(gym.runs.map((run) => [run.id, { run, ...trainedIn(run.id, run.rounds) }]));
  return (runId: string, round: number, fighterId: string): { combos: string; bpm: string } => {
    const known = runs.get(runId);
    if (!known) return { combos: '', bpm: '' };
    const group = known.run.groupOf?.[fighterId] ?? '';
    const inRound = known.combos.filter((each) => each.round === round);
    const blocks = [...groupBy(inRound, ({ block }) => block).values()];
    const done = blocks.flatMap((block) => {
      const own = block.filter(({ groupName }) => group !== '' && groupName === group);
      return own.length > 0 ? own : block.filter(({ groupName }) => groupName === '');
    });
    const combos = [...new Set(done.map(({ comboId }) => names.get(comboId) ?? comboId))];
    return { combos: combos.join(BETWEEN), bpm: String(known.rounds[round]?.bpm ?? '') };
  };
}

function testColumns(test: WholeGymFile['tests'][number] | undefined): CsvLine {
  if (!test) return {};
  const worthwhile = worthwhileOf(test, test.worthwhile ?? null);
  return {
    line: test.line ?? '',
    unit: test.kind === 'burst' ? `strikes in ${test.seconds} s` : (test.unit ?? 's'),
    better: test.direction,
    worthwhile: typeof worthwhile === 'number' ? String(worthwhile) : `${100 * worthwhile.share} %`,
  };
}

const errorColumns = ({ trial = null, days = null }: Partial<GymError> = {}) => ({
  gym_error: String(trial?.error ?? ''),
  gym_error_beyond: String(trial?.degreesOfFreedom ?? ''),
  days_variance: String(days?.variance ?? ''),
  days_beyond: String(days?.degreesOfFreedom ?? ''),
});

const attempts: CsvTable = {
  columns: [
    { name: 'id', about: 'made here; leave it empty for a new trial' },
    { name: 'fighter', about: 'id of the fighter' },
    { name: 'fighter_name', about: 'for reading only', isForReading: true },
    { name: 'run', about: 'id of the session that was held; empty for none' },
    { name: 'test', about: 'id of the test' },
    { name: 'test_title', about: 'for reading only', isForReading: true },
    { name: 'line', about: 'of the test, for reading only', isForReading: true },
    { name: 'unit', about: 'of count or value, for reading only', isForReading: true },
    { name: 'better', about: 'higher or lower, for reading only', isForReading: true },
    { name: 'worthwhile', about: 'the least change that matters, for reading only', isForReading: true },
    { name: 'lead', about: 'left or right' },
    { name: 'count', about: 'how many; where there are instants, what counts of them' },
    { name: 'value', about: 'seconds that a combo or an answer took; empty for a burst' },
    { name: 'counted', about: `how: ${MEASURED.join(', ')}; taps where it is empty` },
    {
      name: 'instants',
      about: 'seconds from the start of the trial at which each strike came, with ; between',
    },
    {
      name: 'due',
      about: 'seconds at which strikes were due, which is its tempo; for reading only',
      isForReading: true,
    },
    { name: 'device', about: 'what heard it, for reading only', isForReading: true },
    { name: 'at', about: `when it was done, ${WRITTEN}` },
    {
      name: 'gym_error',
      about: 'by how much trials of one day differ over the gym, counted in this way; for reading only',
      isForReading: true,
    },
    { name: 'gym_error_beyond', about: 'trials beyond the first of a day it rests on', isForReading: true },
    {
      name: 'days_variance',
      about: 'by how much days differ beyond that, squared; for reading only',
      isForReading: true,
    },
    { name: 'days_beyond', about: 'days beyond the first of four weeks it rests on', isForReading: true },
  ],
  lines: (gym, errors) => {
    const names = new Map(gym.fighters.map(({ id, name }) => [id, name]));
    const tests = new Map(gym.tests.map((test) => [test.id, test]));
    return gym.attempts.map(
      ({ id, fighterId, runId, testId, lead, instants, said, value, measured, heard, at }) => ({
        id,
        fighter: fighterId,
        fighter_name: names.get(fighterId) ?? '',
        run: runId ?? '',
        test: testId,
        test_title: tests.get(testId)?.title ?? '',
        ...testColumns(tests.get(testId)),
        lead,
        count: String(countOf({ said, instants }, tests.get(testId) ?? { kind: 'burst', seconds: 0 })),
        value: value === null || value === undefined ? '' : String(value),
        counted: measured ?? 'taps',
        instants: instants.join(BETWEEN),
        due: (heard?.due ?? []).join(BETWEEN),
        device: heard?.device ?? '',
        at,
        ...errorColumns(errors.get(errorKey(testId, measured ?? 'taps'))),
      }),
    );
  },
  file: (lines, gym, ways) => {
    const tests = new Map(gym.tests.map((test) => [test.id, test]));
    const { items, errors } = readLines(lines, (line, tell) => {
      const { fighter: fighterId = '', run = '', test: testId = '', lead = '' } = line;
      const at = readTime(line['at'] ?? '', ways)?.toISOString() ?? null;
      if (at === null) return tell('at', `The time is written ${WRITTEN}.`);
      const instants = split(line['instants'] ?? '').map((each) => readNumber(each, ways));
      if (instants.some((each) => !Number.isFinite(each)))
        return tell('instants', 'The instants are seconds, with ; between.');
      const id = line['id'] || idOf(fighterId, testId, lead, at);
      const test = tests.get(testId) ?? { kind: 'burst' as const, seconds: 0 };
      // Another number than the instants give was counted by somebody.
      const count = line['count'] ? readNumber(line['count'], ways) : null;
      const isCounted =
        count !== null && (instants.length === 0 || count !== countOf({ said: null, instants }, test));
      const said = isCounted ? count : null;
      const measured = isCounted && instants.length > 0 ? 'by-hand' : line['counted'] || 'taps';
      const runId = run === '' ? null : run;
      const value = line['value'] ? readNumber(line['value'], ways) : null;
      return { id, fighterId, runId, testId, lead, instants, said, value, measured, at, toldAt: null };
    });
    return { part: { attempts: items as NonNullable<GymFile['attempts']> }, errors };
  },
};

export const TABLES: Readonly<Record<CsvTableName, CsvTable>> = { fighters, results, attempts };
