import { worthwhileOf } from '@eurhythm/core/progress';
import { countOf, MEASURED } from '@eurhythm/core/speed';
import type { GymFile } from '@eurhythm/contract';
import { errorKey, type GymError } from '../../progress/trials.service.ts';
import type { WholeGymFile } from '../gymFile/readGym.ts';
import { BETWEEN, WRITTEN, idOf, readLines, split, type CsvLine, type CsvTable } from './csvTable.ts';
import { readNumber, readTime } from './tableTimes.ts';

/** Trials, with all that a verdict on them rests on. */
export const attempts: CsvTable = {
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
