import { Injectable } from '@nestjs/common';
import { fadingOfLastClass, fadingWithin } from '@eurhythm/core/progress';
import { summariseBurst } from '@eurhythm/core/speed';
import { groupBy } from '@eurhythm/core/units';
import type { BetweenQuery, FadingView, FighterProgress } from '@eurhythm/contract';
import { and, desc, eq, gte, sql } from 'drizzle-orm';
import { FightersService } from '../fighters/fighters.service.ts';
import type { Database } from '../store/database.ts';
import { attempts, tests } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { courseView, evennessViews } from './courseViews.ts';
import { dayOf, weeksBefore } from './days.ts';
import { GoalsService } from './goals.service.ts';
import { GradeChecksService } from './gradeChecks.service.ts';
import { GradingsService } from './gradings.service.ts';
import { MemoryService } from './memory.service.ts';
import { PaceService, paceView } from './pace.service.ts';
import { TemposService } from './tempos.service.ts';
import { TrialsService } from './trials.service.ts';

/** Bursts of the last weeks tell how somebody fades. */
const FADING_WEEKS = 8;

/** Puts together what the log says of one fighter. */
@Injectable()
export class FighterProgressService {
  constructor(
    @InjectDatabase() private readonly database: Database,
    private readonly fighters: FightersService,
    private readonly trials: TrialsService,
    private readonly pace: PaceService,
    private readonly tempos: TemposService,
    private readonly memory: MemoryService,
    private readonly goals: GoalsService,
    private readonly checks: GradeChecksService,
    private readonly gradings: GradingsService,
  ) {}

  async of(id: string, between: BetweenQuery, now = new Date()): Promise<FighterProgress> {
    const fighter = await this.fighters.one(id);
    const [own, errors, fading, paces, tempos, memory, checks, gradings] = await Promise.all([
      this.trials.ofFighter(id),
      this.trials.gymErrors(now),
      this.fading(id, now),
      this.pace.of([id], now),
      this.tempos.of([id], now),
      this.memory.of([id], now),
      this.checks.of([fighter], now),
      this.gradings.of(id),
    ]);
    const goals = await this.goals.against(id, own, errors, now);
    const courses = own.flatMap((each) => courseView(each, errors, dayOf(now), between) ?? []);
    return {
      courses,
      leads: evennessViews(own, errors, dayOf(now)),
      fading,
      pace: paceView(paces.get(id)!),
      tempos,
      memory,
      goals,
      check: checks[0] ?? null,
      gradings,
    };
  }

  private async fading(fighterId: string, now: Date): Promise<FadingView[]> {
    const rows = await this.database
      .select({
        testId: tests.id,
        title: tests.title,
        seconds: tests.seconds,
        instants: attempts.instants,
        runId: attempts.runId,
        lead: attempts.lead,
        count: attempts.count,
        at: attempts.at,
      })
      .from(attempts)
      .innerJoin(tests, eq(attempts.testId, tests.id))
      .where(
        and(
          eq(attempts.fighterId, fighterId),
          eq(tests.kind, 'burst'),
          gte(attempts.at, weeksBefore(now, FADING_WEEKS)),
          sql`jsonb_array_length(${attempts.instants}) > 0`,
        ),
      )
      .orderBy(desc(attempts.at));
    return [...groupBy(rows, ({ testId }) => testId).values()].flatMap((those) => {
      const { testId, title, seconds } = those[0]!;
      const percent = fadingWithin(those.map(({ instants }) => summariseBurst(instants, seconds)));
      return percent === null
        ? []
        : [{ testId, title, percent, bursts: those.length, across: acrossOf(those) }];
    });
  }
}

/** As the page shows it. */
function acrossOf(bursts: readonly Burst[]): FadingView['across'] {
  const found = fadingOfLastClass(bursts);
  if (!found) return null;
  const { newest, ...fading } = found;
  return { ...fading, day: dayOf(newest.at) };
}

interface Burst {
  readonly runId: string | null;
  readonly lead: string;
  readonly count: number;
  readonly at: Date;
}
