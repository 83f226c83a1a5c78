import { Injectable } from '@nestjs/common';
import { GONE_COMBO_NAME } from '@eurhythm/core/plan';
import { combosById, measuredBy } from '@eurhythm/core/rounds';
import { tally } from '@eurhythm/core/progress';
import { workDone } from '@eurhythm/core/run';
import { groupBy } from '@eurhythm/core/units';
import type { FighterLog, LoggedRound, PageQuery } from '@eurhythm/contract';
import { and, asc, desc, eq, inArray, isNotNull, sql } from 'drizzle-orm';
import { CombosService } from '../combos/combos.service.ts';
import { FightersService } from '../fighters/fighters.service.ts';
import { MovesService } from '../moves/moves.service.ts';
import { pageOf } from '../http/pages.ts';
import type { Database } from '../store/database.ts';
import { combos, grades, roundResults, runRoundCombos, runRounds, runs } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { AttendanceService } from '../progress/attendance.service.ts';
import { HomeReportsService } from '../home/homeReports.service.ts';
import { AssessmentsService } from '../assessments/assessments.service.ts';

/** Rounds of a page when nobody says, and trials that a log shows. */
const USUAL_ROUNDS = 50;
const SHOWN_TRIALS = 150;

type MarkRow = typeof roundResults.$inferSelect;

/** What a fighter did: rounds by pages, trials, and what they come to. */
@Injectable()
export class FighterLogService {
  constructor(
    @InjectDatabase() private readonly database: Database,
    private readonly fighters: FightersService,
    private readonly tests: AssessmentsService,
    private readonly home: HomeReportsService,
    private readonly moves: MovesService,
    private readonly combos: CombosService,
    private readonly attendance: AttendanceService,
  ) {}

  async log(id: string, query: PageQuery): Promise<FighterLog> {
    const fighter = await this.fighters.one(id);
    const [page, classes, attempts, bursts, home] = await Promise.all([
      this.rounds(id, query),
      this.attendance.classesOf([id]),
      this.tests.newestOf(id, SHOWN_TRIALS),
      this.tests.trialsOf(id),
      this.home.of(id),
    ]);
    const all = tally(classes.get(id) ?? []);
    return { fighter, tally: all, rounds: page.items, attempts, bursts, home, next: page.next };
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
    const [heads, names, worked] = await Promise.all([
      this.headsOf(runIds, fighterId),
      this.combosIn(runIds),
      this.workIn(runIds, fighterId),
    ]);
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
        work: worked(mark, group ?? ''),
        bpm: round?.bpm ?? null,
      };
    });
    return pageOf(rounds, limit);
  }

  /** What a mark stands for beside its combos; the numbers of bursts are those that were reported or heard. */
  private async workIn(
    runIds: readonly string[],
    fighterId: string,
  ): Promise<(mark: MarkRow, group: string) => string[]> {
    if (runIds.length === 0) return () => [];
    const { id, lead, word, sessionId, rounds } = runs;
    const [rows, trials, marks, book, combos] = await Promise.all([
      this.database
        .select({ id, lead, word, sessionId, rounds })
        .from(runs)
        .where(inArray(id, [...runIds])),
      this.tests.inRuns(fighterId, runIds),
      this.database
        .select({ runId: roundResults.runId, round: roundResults.round, at: roundResults.at })
        .from(roundResults)
        .where(
          and(
            eq(roundResults.fighterId, fighterId),
            inArray(roundResults.runId, [...runIds]),
            isNotNull(roundResults.done),
          ),
        ),
      this.moves.book(),
      this.combos.list(),
    ]);
    const byId = new Map(rows.map((row) => [row.id, row]));
    return (mark, group) => {
      const run = byId.get(mark.runId);
      const round = run?.rounds[mark.round];
      if (!run || !round || mark.done === 'sat-out') return [];
      const who = {
        group,
        lead: mark.lead ?? run.lead,
        seedKey: run.sessionId,
        word: run.word,
        until: mark.done === 'part' ? mark.seconds : null,
      };
      const burstsOf = (of: number): string[] =>
        (run.rounds[of]?.blocks ?? []).flatMap((block) => {
          const measured = measuredBy(block, { group, book });
          return measured?.kind === 'burst' ? [measured.title] : [];
        });
      const bursts = burstsOf(mark.round);
      const counted = trials.filter(({ runId, title, at }) => {
        if (runId !== mark.runId || !bursts.includes(title)) return false;
        const same = marks.filter((each) => each.runId === runId && burstsOf(each.round).includes(title));
        return nearest(same, at)?.round === mark.round;
      });
      return [
        ...workDone(round, who, book, combosById(combos)),
        ...counted.map(({ title, count, lead: from }) => `${title}: ${count} from the ${from} lead`),
      ];
    };
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

/** Where a burst comes in more rounds of a run, a trial is of the one that was marked nearest to it. */
function nearest<M extends { readonly at: Date }>(marks: readonly M[], at: Date): M | undefined {
  const off = (mark: M): number => Math.abs(mark.at.getTime() - at.getTime());
  return marks.toSorted((a, b) => off(a) - off(b))[0];
}
