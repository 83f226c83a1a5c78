import { howMany } from '@eurhythm/core/units';
import { Injectable, NotFoundException } from '@nestjs/common';
import { runBegins, withGroups, withPaces } from '@eurhythm/core/plan';
import type { WrittenBlock } from '@eurhythm/core/rounds';
import { missingFields } from '@eurhythm/core/run';
import type {
  AttemptView,
  FighterView,
  MarkResultDto,
  ResultView,
  RoundGroupsDto,
  RoundPartnersView,
  RunEventDto,
  RunEventView,
  RunNoteDto,
  RunView,
  SaveAttemptDto,
  StartRunDto,
} from '@eurhythm/contract';
import { eq } from 'drizzle-orm';
import { FightersService } from '../fighters/fighters.service.ts';
import { GymService } from '../gym/gym.service.ts';
import { doneAt, type ClockOffset } from '../http/deviceClock.ts';
import { refuseField, refuseFields } from '../http/refuse.ts';
import { PaceService } from '../progress/pace.service.ts';
import { changedRounds } from '../sessions/changedRounds.ts';
import { SessionsService } from '../sessions/sessions.service.ts';
import { SheetsService } from '../sessions/sheets.service.ts';
import type { Database, Transaction } from '../store/database.ts';
import { runRoundCombos, runRounds, runs } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { AssessmentsService } from '../assessments/assessments.service.ts';
import { RunNews } from './runNews.ts';
import { MarksService } from './marks.service.ts';
import { RunLogService } from './runLog.service.ts';
import { byGroup, groupsOf, trainedIn } from './trained.ts';

/** What is known of marks beside the presses. */
const DECIDES_MARKS: ReadonlySet<string> = new Set<RunEventDto['kind']>([
  'bell',
  'all-clean',
  'comes',
  'leaves',
]);
const NEEDED_NAMES: Readonly<Record<string, string>> = { by: 'the change', fighterId: 'the fighter' };

@Injectable()
export class RunsService {
  constructor(
    @InjectDatabase() private readonly database: Database,
    private readonly sessions: SessionsService,
    private readonly fighters: FightersService,
    private readonly tests: AssessmentsService,
    private readonly log: RunLogService,
    private readonly marks: MarksService,
    private readonly sheets: SheetsService,
    private readonly gym: GymService,
    private readonly paces: PaceService,
    private readonly news: RunNews,
  ) {}

  async one(id: string): Promise<RunView> {
    const { groupOf, ...row } = await this.row(id);
    const [results, events] = await Promise.all([this.marks.of(id), this.log.movesOf(id)]);
    return {
      ...row,
      groups: byGroup(groupOf),
      startedAt: row.startedAt.toISOString(),
      endedAt: row.endedAt?.toISOString() ?? null,
      results,
      events,
    };
  }

  /** Marks one fighter's round: {@link MarksService.mark}. */
  async mark(runId: string, id: string, result: MarkResultDto, offset: ClockOffset): Promise<ResultView> {
    return this.marks.mark(runId, id, result, offset);
  }

  private async row(id: string): Promise<typeof runs.$inferSelect> {
    const [row] = await this.database.select().from(runs).where(eq(runs.id, id));
    if (!row) throw new NotFoundException('This run does not exist.');
    return row;
  }

  /** Begins a run with the session as it is now. A run that exists is given back unchanged. */
  async start(
    id: string,
    { sessionId, fighterIds, startedAt }: StartRunDto,
    offset: ClockOffset,
  ): Promise<RunView> {
    const present = await this.mustBeFit(fighterIds);
    const { groups, ...begun } = await this.begin(sessionId, present);
    const { rounds } = begun;
    const row = { id, ...begun, fighterIds, startedAt: doneAt(startedAt, offset).at };
    await this.database.transaction(async (tx) => {
      const made = await tx
        .insert(runs)
        .values({ ...row, groupOf: groupsOf(present, groups) })
        .onConflictDoNothing()
        .returning({ id: runs.id });
      if (made.length === 0) return;
      const trained = trainedIn(id, rounds);
      await tx.insert(runRounds).values(trained.rounds);
      if (trained.combos.length > 0) await tx.insert(runRoundCombos).values(trained.combos);
    });
    return this.one(id);
  }

  /**
   * A run of this session as it would begin now, for those on the sheet of its class, or for all who are fit. With it, a device that has
   * lost the server begins by itself.
   */
  async beginning(sessionId: string): Promise<RunView> {
    const [sheet, fit] = await Promise.all([this.sheets.one(sessionId), this.fighters.fit()]);
    const ticked = new Set(sheet.present.map(({ fighterId }) => fighterId));
    const present = fit.filter(({ id }) => ticked.size === 0 || ticked.has(id));
    const { groups, ...begun } = await this.begin(sessionId, present);
    return {
      id: '',
      ...begun,
      groups: byGroup(groupsOf(present, groups)),
      startedAt: new Date().toISOString(),
      endedAt: null,
      effort: null,
      note: null,
      results: [],
      events: [],
    };
  }

  private async begin(sessionId: string, present: readonly FighterView[]) {
    const ids = present.map(({ id }) => id);
    const [session, sheet, { grades }, paces] = await Promise.all([
      this.sessions.one(sessionId),
      this.sheets.one(sessionId),
      this.gym.gym(),
      this.paces.measured(ids, new Date()),
    ]);
    const ranks = grades.map((grade) => grade.id);
    const { rounds, partners } = runBegins(session.rounds, withPaces(present, paces), sheet, ranks);
    const { title, lead, word = '', groups = [] } = session;
    const fighterIds = present.map(({ id }) => id);
    return { sessionId, title, lead, word, rounds: [...rounds], fighterIds, partners: [...partners], groups };
  }

  private async mustBeFit(ids: readonly string[]) {
    const known = await this.fighters.some(ids);
    if (known.length < new Set(ids).size)
      throw refuseField('fighterIds', 'One of these fighters is not in the gym.');
    const unfit = known.filter((fighter) => !fighter.fit).map((fighter) => fighter.name);
    if (unfit.length > 0)
      throw refuseField(
        'fighterIds',
        `${unfit.join(' and ')} cannot join: marked not fit to train. Lift the mark first, on the fighter’s page.`,
      );
    return known;
  }

  /** Puts into the log what was done to a run; the same event again changes nothing. */
  async take(runId: string, id: string, event: RunEventDto, offset: ClockOffset): Promise<RunEventView> {
    const run = await this.row(runId);
    const missing = missingFields(event).map((field) => ({
      field,
      message: `What was done (${event.kind}) needs ${NEEDED_NAMES[field] ?? `the ${field}`}.`,
    }));
    if (missing.length > 0) throw refuseFields(missing);
    // A skip behind the last round is how a run is over before its time.
    const last = event.kind === 'skip' ? run.rounds.length : run.rounds.length - 1;
    if ((event.round ?? 0) > last)
      throw refuseField('round', `This run has ${howMany(run.rounds.length, 'round')}.`);
    const { kind, at: reported, partners, ...data } = event;
    // Who may not train does not come late either.
    const coming = kind === 'comes' ? await this.mustBeFit([event.fighterId!]) : [];
    const groupsOfComing = coming.length > 0 ? await this.groupsIn(run.sessionId, coming) : {};
    if (kind === 'leaves' && !run.fighterIds.includes(event.fighterId!))
      throw refuseField('fighterId', 'This fighter is not in the run.');
    const { at, toldAt } = doneAt(reported, offset);
    const isNew = await this.database.transaction(async (tx) => {
      const isNew = await this.log.append(tx, runId, { id, kind, at, toldAt, data });
      if (isNew && (kind === 'comes' || kind === 'leaves'))
        await this.move(tx, runId, groupsOfComing, event.round!, partners);
      if (isNew && DECIDES_MARKS.has(kind)) await this.marks.settle(tx, runId);
      if (isNew && kind === 'end' && run.endedAt === null)
        await tx.update(runs).set({ endedAt: at }).where(eq(runs.id, runId));
      return isNew;
    });
    const taken = (await this.log.movesOf(runId)).find((each) => each.id === id)!;
    if (isNew) this.news.tell(runId, taken);
    return taken;
  }

  /** The group of each of these in a session; the one called like the grade where the session is gone. */
  private async groupsIn(
    sessionId: string,
    fighters: readonly FighterView[],
  ): Promise<Record<string, string>> {
    const { groups = [] } = await this.sessions.one(sessionId).catch(() => ({ groups: [] }));
    return groupsOf(fighters, groups);
  }

  /** Puts those who come into the run, each with a group; who leaves stays in its log. The rounds that come have these groups. */
  private async move(
    tx: Transaction,
    runId: string,
    coming: Readonly<Record<string, string>>,
    round: number,
    reported: readonly RoundGroupsDto[] = [],
  ): Promise<void> {
    const [run] = await tx.select().from(runs).where(eq(runs.id, runId)).for('update');
    const { fighterIds, groupOf, partners } = run!;
    await tx
      .update(runs)
      .set({
        fighterIds: [...new Set([...fighterIds, ...Object.keys(coming)])],
        groupOf: { ...groupOf, ...coming },
        partners: withGroups(partners, round, reported) as RoundPartnersView[],
      })
      .where(eq(runs.id, runId));
  }

  /** Ends a run; one that has ended stays as it is. */
  async end(id: string): Promise<RunView> {
    const { endedAt } = await this.row(id);
    if (endedAt === null) await this.take(id, 'end', { kind: 'end', at: new Date().toISOString() }, 0);
    return this.one(id);
  }

  /** Keeps what the coach says of the class as a whole. */
  async note(id: string, said: RunNoteDto): Promise<RunView> {
    await this.row(id);
    await this.database.update(runs).set(said).where(eq(runs.id, id));
    return this.one(id);
  }

  /** Changes blocks of runs as part of a larger change that leaves what they mean. */
  async changeBlocks(tx: Transaction, change: (block: WrittenBlock) => WrittenBlock): Promise<void> {
    for (const { id, rounds: before } of await tx.select().from(runs).for('update')) {
      const rounds = changedRounds(before, change);
      if (rounds !== before) await tx.update(runs).set({ rounds }).where(eq(runs.id, id));
    }
  }

  async saveAttempt(id: string, attempt: SaveAttemptDto, offset: ClockOffset): Promise<AttemptView> {
    const { runId } = attempt;
    if (runId) await this.row(runId);
    const { kept, ...done } = await this.tests.saveAttempt(id, attempt, offset);
    if (runId)
      await this.database.transaction((tx) =>
        this.log.append(tx, runId, {
          id: `burst-${id}`,
          kind: 'burst',
          ...done,
          data: { attemptId: id, fighterId: attempt.fighterId },
        }),
      );
    return kept;
  }
}
