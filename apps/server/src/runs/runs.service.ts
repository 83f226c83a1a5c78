import { Injectable, NotFoundException, UnprocessableEntityException } from '@nestjs/common';
import { comboRefs } from '@eurhythm/contract';
import type {
  AttemptView,
  LastTrained,
  MarkResultDto,
  ResultView,
  RunClockDto,
  RunView,
  SaveAttemptDto,
  StartRunDto,
} from '@eurhythm/contract';
import { and, asc, desc, eq, inArray } from 'drizzle-orm';
import { attemptView } from '../fighters/attemptView.ts';
import { heldRounds } from '../sessions/heldRounds.ts';
import { SessionsService } from '../sessions/sessions.service.ts';
import type { Database } from '../store/openStore.ts';
import { attempts, fighters, roundResults, runs } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';

@Injectable()
export class RunsService {
  constructor(
    @InjectDatabase() private readonly database: Database,
    private readonly sessions: SessionsService,
  ) {}

  async one(id: string): Promise<RunView> {
    const [row] = await this.database.select().from(runs).where(eq(runs.id, id));
    if (!row) throw new NotFoundException('This run does not exist.');
    const results = await this.database
      .select()
      .from(roundResults)
      .where(eq(roundResults.runId, id))
      .orderBy(asc(roundResults.at));
    return {
      ...row,
      startedAt: row.startedAt.toISOString(),
      endedAt: row.endedAt?.toISOString() ?? null,
      results: results.map(resultView),
    };
  }

  /** Begins a run with the session as it is now. A run that exists is given back unchanged. */
  async start(id: string, { sessionId, fighterIds, startedAt }: StartRunDto): Promise<RunView> {
    const session = await this.sessions.one(sessionId);
    await this.mustBeFit(fighterIds);
    const rounds = heldRounds(session.rounds);
    await this.database
      .insert(runs)
      .values({
        id,
        sessionId,
        title: session.title,
        lead: session.lead,
        word: session.word ?? '',
        rounds,
        fighterIds,
        startedAt: new Date(startedAt),
      })
      .onConflictDoNothing();
    return this.one(id);
  }

  /** When each combo was last in a session that was held. */
  async lastTrained(): Promise<LastTrained> {
    const rows = await this.database
      .select({ rounds: runs.rounds, startedAt: runs.startedAt })
      .from(runs)
      .orderBy(asc(runs.startedAt));
    return Object.fromEntries(
      rows.flatMap(({ rounds, startedAt }) =>
        rounds
          .flatMap(({ blocks }) =>
            blocks.flatMap((block) => (block.kind === 'combo' ? comboRefs(block) : [])),
          )
          .flatMap(({ comboId }) => (comboId === undefined ? [] : [[comboId, startedAt.toISOString()]])),
      ),
    );
  }

  private async mustBeFit(ids: readonly string[]): Promise<void> {
    const known =
      ids.length === 0
        ? []
        : await this.database
            .select()
            .from(fighters)
            .where(inArray(fighters.id, [...ids]));
    const refuse = (message: string) =>
      new UnprocessableEntityException({ message, errors: [{ field: 'fighterIds', message }] });
    if (known.length < new Set(ids).size) throw refuse('One of these fighters is not in the gym.');
    const unfit = known.filter((fighter) => !fighter.fit).map((fighter) => fighter.name);
    if (unfit.length > 0) {
      throw refuse(
        `${unfit.join(' and ')} cannot join: marked not fit to train. Lift the mark first, on the fighter’s page.`,
      );
    }
  }

  async setClock(id: string, clock: RunClockDto): Promise<RunView> {
    await this.change(id, { clock });
    return this.one(id);
  }

  async end(id: string): Promise<RunView> {
    const run = await this.one(id);
    if (run.endedAt === null) await this.change(id, { endedAt: new Date() });
    return this.one(id);
  }

  private async change(id: string, values: Partial<typeof runs.$inferInsert>): Promise<void> {
    const changed = await this.database
      .update(runs)
      .set(values)
      .where(eq(runs.id, id))
      .returning({ id: runs.id });
    if (changed.length === 0) throw new NotFoundException('This run does not exist.');
  }

  /** Marks one fighter's round. The newest mark of a fighter in a round stands; the same request again changes nothing. */
  async mark(runId: string, id: string, result: MarkResultDto): Promise<ResultView> {
    const run = await this.one(runId);
    if (!run.fighterIds.includes(result.fighterId))
      throw new UnprocessableEntityException('This fighter is not in the run.');
    if (result.round >= run.rounds.length)
      throw new UnprocessableEntityException(`This run has ${run.rounds.length} rounds.`);
    const row = { id, done: result.done, quality: result.quality ?? null, at: new Date(result.at) };
    const [kept] = await this.database
      .insert(roundResults)
      .values({ runId, round: result.round, fighterId: result.fighterId, ...row })
      .onConflictDoUpdate({
        target: [roundResults.runId, roundResults.round, roundResults.fighterId],
        set: row,
      })
      .returning();
    return resultView(kept!);
  }

  /** Takes a mark back; taking back what is not there changes nothing. */
  async unmark(runId: string, id: string): Promise<void> {
    await this.database
      .delete(roundResults)
      .where(and(eq(roundResults.runId, runId), eq(roundResults.id, id)));
  }

  async saveAttempt(id: string, attempt: SaveAttemptDto): Promise<AttemptView> {
    const [fighter] = await this.database.select().from(fighters).where(eq(fighters.id, attempt.fighterId));
    if (!fighter) throw new UnprocessableEntityException('This fighter is not in the gym.');
    if (attempt.runId) await this.one(attempt.runId);
    const row = { ...attempt, runId: attempt.runId ?? null, at: new Date(attempt.at) };
    const [kept] = await this.database
      .insert(attempts)
      .values({ id, ...row })
      .onConflictDoUpdate({ target: attempts.id, set: row })
      .returning();
    return attemptView(kept!);
  }

  async removeAttempt(id: string): Promise<void> {
    await this.database.delete(attempts).where(eq(attempts.id, id));
  }

  /** The run that has not ended, the newest if there are several. */
  async running(): Promise<{ id: string; title: string } | null> {
    const rows = await this.database.select().from(runs).orderBy(desc(runs.startedAt)).limit(1);
    const [newest] = rows;
    return newest && newest.endedAt === null ? { id: newest.id, title: newest.title } : null;
  }
}

function resultView(row: typeof roundResults.$inferSelect): ResultView {
  return { ...row, at: row.at.toISOString() };
}
