import { Injectable } from '@nestjs/common';
import { evenness, monthOf, verdictSentence } from '@eurhythm/core/progress';
import { groupBy } from '@eurhythm/core/units';
import type { ClassProgress, ClassQuery, ClassRowView, FighterView } from '@eurhythm/contract';
import { FightersService } from '../fighters/fighters.service.ts';
import { AttendanceService } from './attendance.service.ts';
import { toldValue } from './courseViews.ts';
import { dayOf, weeksBefore } from './days.ts';
import { MemoryService } from './memory.service.ts';
import { TrialsService, errorKey, type TestTrials } from './trials.service.ts';

/** The table looks back over the month and the eight weeks before it. */
const WEEKS = 12;

/** How a class comes on, one line for each fighter. */
@Injectable()
export class ClassProgressService {
  constructor(
    private readonly fighters: FightersService,
    private readonly trials: TrialsService,
    private readonly attendance: AttendanceService,
    private readonly memory: MemoryService,
  ) {}

  async of({ gradeId, testId }: ClassQuery, now = new Date()): Promise<ClassProgress> {
    const since = weeksBefore(now, WEEKS);
    const [all, tests] = await Promise.all([this.fighters.fit(), this.trials.usualTests(since)]);
    const who = all.filter((fighter) => gradeId === undefined || fighter.gradeId === gradeId);
    const ids = who.map(({ id }) => id);
    const test =
      tests.find(({ id }) => id === testId) ?? (testId === undefined ? tests[0] : undefined) ?? null;
    const [trials, errors, attendance, memory] = await Promise.all([
      test ? this.trials.ofTest(test.id, ids, since) : Promise.resolve([]),
      this.trials.gymErrors(now),
      this.attendance.of(ids, now),
      this.memory.of(ids, now),
    ]);
    const byFighter = groupBy(trials, ({ fighterId }) => fighterId);
    const due = groupBy(
      memory.filter(({ isDue }) => isDue),
      ({ fighterId }) => fighterId,
    );
    const rows = who.map((fighter) => {
      const came = attendance.get(fighter.id);
      return {
        ...testRow(fighter, byFighter.get(fighter.id) ?? [], errors, dayOf(now)),
        fighterId: fighter.id,
        name: fighter.name,
        grade: fighter.grade,
        lead: fighter.lead,
        classes: came?.lately ?? 0,
        last: came?.last ?? null,
        due: due.get(fighter.id)?.length ?? 0,
      };
    });
    return { test, tests, rows };
  }
}

type TestRow = Pick<ClassRowView, 'line' | 'usual' | 'month' | 'sentence' | 'evenness' | 'behind'>;

/** What a test says of one fighter: from the own lead, and how far the other one is from it. */
function testRow(
  { lead }: FighterView,
  trials: readonly TestTrials[],
  errors: Awaited<ReturnType<TrialsService['gymErrors']>>,
  today: string,
): TestRow {
  const own = trials.find((each) => each.lead === lead);
  const nothing = { line: [], usual: null, month: null, sentence: '', evenness: null, behind: null };
  if (!own) return nothing;
  const found = monthOf(own.trials, {
    better: own.better,
    today,
    errorOf: (way) => errors.get(errorKey(own.testId, way)) ?? null,
  });
  if (!found) return nothing;
  const { line, usual, lately, month, measured, typicalError } = found;
  const other = trials.find((each) => each !== own);
  const same = other?.trials.filter((trial) => trial.measured === measured).map(({ value }) => value) ?? [];
  const sides = lead === 'left' ? { left: lately, right: same } : { left: same, right: lately };
  const even = evenness(sides, typicalError, own.better);
  return {
    line,
    usual,
    month: month?.verdict ?? null,
    sentence: month ? verdictSentence(month, toldValue(own.kind)) : '',
    evenness: even?.percent ?? null,
    behind: even?.behind ?? null,
  };
}
