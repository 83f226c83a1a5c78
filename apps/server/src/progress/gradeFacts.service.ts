import { Injectable } from '@nestjs/common';
import { hasTrained, type GradeFacts, type Requirement } from '@eurhythm/core/progress';
import { groupBy } from '@eurhythm/core/units';
import { and, asc, eq, gte, inArray, isNull, max, ne, sql } from 'drizzle-orm';
import type { Database } from '../store/database.ts';
import { attempts, gradings, shownMarks, tests } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { TRIAL_VALUE } from '../assessments/trialValue.ts';
import { AttendanceService, type ClassesByFighter } from './attendance.service.ts';
import { daySql, weeksBefore } from './days.ts';
import { SetsService } from './sets.service.ts';

/** What was seen longer ago shows nothing of today. */
const SEEN_WEEKS = 52;

/** What the log knows of fighters, as far as grades ask for it. */
@Injectable()
export class GradeFactsService {
  constructor(
    @InjectDatabase() private readonly database: Database,
    private readonly sets: SetsService,
    private readonly attendance: AttendanceService,
  ) {}

  /** The facts of some that these requirements ask for; everybody who is asked for is in it. */
  async of(
    fighterIds: readonly string[],
    requirements: readonly Requirement[],
    now: Date,
  ): Promise<ReadonlyMap<string, GradeFacts>> {
    if (fighterIds.length === 0) return new Map();
    const since = weeksBefore(now, SEEN_WEEKS);
    const testIds = requirements.flatMap((one) => (one.kind === 'test' ? [one.testId] : []));
    const weeks = requirements.flatMap((one) => ('count' in one ? [one.weeks] : []));
    const counted = weeksBefore(now, Math.max(0, ...weeks));
    const ids = [...fighterIds];
    const [clean, trials, classes, shown, graded] = await Promise.all([
      requirements.some(({ kind }) => kind === 'combo') ? this.sets.of(ids, since, { onlyClean: true }) : [],
      this.trials(ids, testIds, since),
      weeks.length === 0 ? (new Map() as ClassesByFighter) : this.attendance.classesOf(ids, counted),
      this.database.select().from(shownMarks).where(inArray(shownMarks.fighterId, ids)),
      this.database
        .select({ fighterId: gradings.fighterId, day: max(gradings.day) })
        .from(gradings)
        .where(and(inArray(gradings.fighterId, ids), eq(gradings.passed, true), isNull(gradings.withdrawn)))
        .groupBy(gradings.fighterId),
    ]);
    const own = {
      clean: groupBy(clean, ({ fighterId }) => fighterId),
      trials: groupBy(trials, ({ fighterId }) => fighterId),
      shown: groupBy(shown, ({ fighterId }) => fighterId),
    };
    const gradedOn = new Map(graded.map(({ fighterId, day }) => [fighterId, day]));
    return new Map(
      ids.map((id): [string, GradeFacts] => {
        const trained = (classes.get(id) ?? []).filter(hasTrained);
        return [
          id,
          {
            clean: (own.clean.get(id) ?? []).flatMap(({ comboId, bpm, leads, day }) =>
              leads.map((lead) => ({ comboId, bpm, lead, day })),
            ),
            trials: own.trials.get(id) ?? [],
            rounds: trained.flatMap(({ day, finished }) => Array.from({ length: finished }, () => day)),
            sessions: trained.map(({ day }) => day),
            shown: own.shown.get(id) ?? [],
            gradedOn: gradedOn.get(id) ?? null,
          },
        ];
      }),
    );
  }

  private async trials(ids: string[], testIds: string[], since: Date) {
    if (testIds.length === 0) return [];
    return this.database
      .select({
        fighterId: attempts.fighterId,
        testId: attempts.testId,
        lead: attempts.lead,
        value: TRIAL_VALUE.mapWith(Number),
        better: tests.direction,
        day: daySql(attempts.at),
      })
      .from(attempts)
      .innerJoin(tests, eq(attempts.testId, tests.id))
      .where(
        and(
          inArray(attempts.fighterId, ids),
          inArray(attempts.testId, testIds),
          gte(attempts.at, since),
          ne(attempts.measured, 'self-reported'),
          sql`${TRIAL_VALUE} is not null`,
        ),
      )
      .orderBy(asc(attempts.at));
  }
}
