import { Injectable } from '@nestjs/common';
import {
  countedUnit,
  evenCourses,
  middleOfDay,
  valueText,
  verdictSentence,
  type Course,
} from '@eurhythm/core/progress';
import { groupBy } from '@eurhythm/core/units';
import type { ClassProgress, ClassQuery, ClassRowView, FighterView } from '@eurhythm/contract';
import { FightersService } from '../fighters/fighters.service.ts';
import { AttendanceService } from './attendance.service.ts';
import { courseOf } from './courseViews.ts';
import { dayOf, weeksBefore } from './days.ts';
import { MemoryService } from './memory.service.ts';
import { TrialsService, type GymErrors, type TestTrials } from './trials.service.ts';

/** Trials of half a year are looked at, and twelve weeks of them drawn. */
const WEEKS = 26;
const DRAWN_WEEKS = 12;

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
        ...testRow(fighter, byFighter.get(fighter.id) ?? [], errors, now),
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

/** What a test says of one fighter: from the own lead, and how far the other one is from it; the same as on the fighter's own page. */
function testRow(
  { lead }: FighterView,
  trials: readonly TestTrials[],
  errors: GymErrors,
  now: Date,
): TestRow {
  const [left, right] = (['left', 'right'] as const).map((side) => {
    const of = trials.find((each) => each.lead === side);
    return of ? courseOf(of, errors, dayOf(now)) : null;
  }) as [Course | null, Course | null];
  const own = lead === 'left' ? left : right;
  if (!own) return { line: [], usual: null, month: null, sentence: '', evenness: null, behind: null };
  const { kind, unit, better } = trials[0]!;
  const even = evenCourses(left, right, better);
  const drawn = own.days.filter(({ day }) => day >= dayOf(weeksBefore(now, DRAWN_WEEKS)));
  return {
    line: drawn.map(middleOfDay),
    usual: own.usual && (own.usual.low + own.usual.high) / 2,
    month: own.month?.verdict ?? null,
    sentence: own.month ? verdictSentence(own.month, valueText(kind, unit), countedUnit(trials[0]!)) : '',
    evenness: even?.percent ?? null,
    behind: even?.behind ?? null,
  };
}
