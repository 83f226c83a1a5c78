import { Injectable } from '@nestjs/common';
import { GONE_COMBO_NAME } from '@eurhythm/core/plan';
import { groupBy } from '@eurhythm/core/units';
import type { FighterLog, LoggedRound, PageQuery } from '@eurhythm/contract';
import { and, asc, desc, eq, inArray, isNotNull, sql } from 'drizzle-orm';
import { FightersService } from '../fighters/fighters.service.ts';
import { pageOf } from '../http/pages.ts';
import type { Database } from '../store/database.ts';
import { combos, grades, roundResults, runRoundCombos, runRounds, runs } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { HomeReportsService } from '../home/homeReports.service.ts';
import { AssessmentsService } from '../assessments/assessments.service.ts';

/** Rounds of a page when nobody says, and trials that a log shows. */
const USUAL_ROUNDS = 50;
const SHOWN_TRIALS = 150;

/** What a fighter did: rounds by pages, trials, and what they come to. */
@Injectable()
export class FighterLogService {
  constructor(
    @InjectDatabase() private readonly database: Database,
    private readonly fighters: FightersService,
    private readonly tests: AssessmentsService,
    private readonly home: HomeReportsService,
  ) {}

  async log(id: string, query: PageQuery): Promise<FighterLog> {
    const fighter = await this.fighters.one(id);
    const [page, attempts, bursts, home] = await Promise.all([
      this.rounds(id, query),
      this.tests.newestOf(id, SHOWN_TRIALS),
      this.tests.trialsOf(id),
      this.home.of(id),
    ]);
    return { fighter, rounds: page.items, attempts, bursts, home, next: page.next };
  }

  /** A page of marked rounds, newest first, each with the combos of the fighter's own group. */
  private async rounds(
    fighterId: string,
    { after, limit = USUAL_ROUNDS }: PageQuery,
  ): Promise<{ items: LoggedRound[]; next: string | null }> {
    const marks = await this.database
      .select()
      .from(roundResults)
      .where(
        and(
          eq(roundResults.fighterId, fighterId),
          isNotNull(roundResults.done),
          after === undefined
            ? undefined
            : sql`(${roundResults.at}, ${roundResults.id}) < (select at, id from round_results where fighter_id = ${fighterId} and id = ${after} limit 1)`,
        ),
      )
      .orderBy(desc(roundResults.at), desc(roundResults.id))
      .limit(limit + 1);
    const runIds = [...new Set(marks.map(({ runId }) => runId))];
    const [heads, names] = await Promise.all([this.headsOf(runIds, fighterId), this.combosIn(runIds)]);
    const rounds = marks.map((mark): LoggedRound => {
      const ofRun = heads.get(mark.runId)!;
      const round = ofRun.find((each) => each.round === mark.round);
      const { session, group } = ofRun[0]!;
      return {
        ...mark,
        done: mark.done!,
        at: mark.at.toISOString(),
        session,
        title: round?.title ?? '',
        kind: round?.kind ?? '',
        combos: names(mark.runId, mark.round, group ?? ''),
        bpm: round?.bpm ?? null,
      };
    });
    return pageOf(rounds, limit);
  }

  /** The session and the own group of some runs with each of their rounds, by run. */
  private async headsOf(runIds: readonly string[], fighterId: string) {
    const rows = await this.database
      .select({
        runId: runs.id,
        session: runs.title,
        group: sql<string | null>`${runs.groupOf}->>${fighterId}`,
        round: runRounds.round,
        title: runRounds.title,
        kind: runRounds.kind,
        bpm: runRounds.bpm,
      })
      .from(runs)
      .leftJoin(runRounds, eq(runRounds.runId, runs.id))
      .where(inArray(runs.id, [...runIds]));
    return groupBy(rows, ({ runId }) => runId);
  }

  /** The names of the combos that a group did in a round: its own where it has any, else everybody's. */
  private async combosIn(
    runIds: readonly string[],
  ): Promise<(runId: string, round: number, group: string) => string[]> {
    if (runIds.length === 0) return () => [];
    const rows = await this.database
      .select({
        runId: runRoundCombos.runId,
        round: runRoundCombos.round,
        block: runRoundCombos.block,
        group: runRoundCombos.groupName,
        grade: grades.name,
        number: combos.number,
      })
      .from(runRoundCombos)
      .leftJoin(combos, eq(runRoundCombos.comboId, combos.id))
      .leftJoin(grades, eq(combos.gradeId, grades.id))
      .where(inArray(runRoundCombos.runId, [...runIds]))
      .orderBy(asc(runRoundCombos.runId), asc(runRoundCombos.round), asc(runRoundCombos.place));
    return (runId, round, group) => {
      const all = rows.filter((row) => row.runId === runId && row.round === round);
      const blocks = [...groupBy(all, (row) => row.block).values()];
      return blocks.flatMap((inBlock) => {
        const own = inBlock.filter((row) => row.group !== '' && row.group === group);
        const done = own.length > 0 ? own : inBlock.filter((row) => row.group === '');
        return done.map(({ grade, number }) => (grade === null ? GONE_COMBO_NAME : `${grade} ${number}`));
      });
    };
  }
}
