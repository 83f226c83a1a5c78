import { ConflictException, Injectable, NotFoundException, OnModuleInit } from '@nestjs/common';
import { heldRounds, sessionSeconds, unrollRounds } from '@eurhythm/core/plan';
import { type WrittenBlock } from '@eurhythm/core/rounds';
import type {
  PageQuery,
  RepeatSessionDto,
  RoundDto,
  SaveSessionDto,
  SessionPage,
  SessionSummary,
  SessionView,
} from '@eurhythm/contract';
import { asc, desc, eq, gte, inArray, lt, sql } from 'drizzle-orm';
import { pageLength, pageOf } from '../http/pages.ts';
import { refuseField } from '../http/refuse.ts';
import type { Database, Transaction } from '../store/database.ts';
import { runs, sessions } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { saveVersioned } from '../store/versionedWrite.ts';
import { combosNamed } from './combosNamed.ts';
import { changedRounds } from './changedRounds.ts';
import { RoundsService, type SpokenRounds } from './rounds.service.ts';

type SessionRow = typeof sessions.$inferSelect;

@Injectable()
export class SessionsService implements OnModuleInit {
  constructor(
    @InjectDatabase() private readonly database: Database,
    private readonly rounds: RoundsService,
  ) {}

  /** Sessions that were kept before their length was kept beside them get it now. */
  async onModuleInit(): Promise<void> {
    const old = await this.database.select().from(sessions).where(eq(sessions.heldRounds, 0));
    for (const { id, rounds } of old)
      await this.database.update(sessions).set(lengthOf(rounds)).where(eq(sessions.id, id));
  }

  /** A page of the sessions, by their dates; those without a date come last. */
  async page(query: PageQuery): Promise<SessionPage> {
    const length = pageLength(query);
    const place = sql`(coalesce(${sessions.plannedFor}, 'infinity'::timestamptz), ${sessions.title}, ${sessions.id})`;
    const after =
      query.after === undefined
        ? undefined
        : sql`${place} > (select coalesce(planned_for, 'infinity'::timestamptz), title, id from sessions where id = ${query.after})`;
    const rows = await this.database
      .select(SUMMARY)
      .from(sessions)
      .where(after)
      .orderBy(
        sql`coalesce(${sessions.plannedFor}, 'infinity'::timestamptz)`,
        asc(sessions.title),
        asc(sessions.id),
      )
      .limit(length + 1);
    return pageOf(rows.map(sessionSummary), length);
  }

  /** Every session by its id and its title. */
  titles(): Promise<{ id: string; title: string }[]> {
    return this.database.select({ id: sessions.id, title: sessions.title }).from(sessions);
  }

  /** The sessions that have a date, by it. */
  async planned(): Promise<SessionSummary[]> {
    const rows = await this.database
      .select(SUMMARY)
      .from(sessions)
      .where(sql`${sessions.plannedFor} is not null`)
      .orderBy(asc(sessions.plannedFor), asc(sessions.title));
    return rows.map(sessionSummary);
  }

  /** The first session that is planned for an instant or later, else the one that was changed last; null without any. */
  async nextFrom(instant: Date): Promise<SessionSummary | null> {
    const [planned] = await this.database
      .select(SUMMARY)
      .from(sessions)
      .where(gte(sessions.plannedFor, instant))
      .orderBy(asc(sessions.plannedFor))
      .limit(1);
    if (planned) return sessionSummary(planned);
    const [any] = await this.database
      .select(SUMMARY)
      .from(sessions)
      .orderBy(desc(sessions.updatedAt))
      .limit(1);
    return any ? sessionSummary(any) : null;
  }

  async one(id: string): Promise<SessionView> {
    const [row] = await this.database.select().from(sessions).where(eq(sessions.id, id));
    if (!row) throw new NotFoundException('This session does not exist.');
    return { id, version: row.version, ...saveable(row) };
  }

  /** Makes or changes a session; the same request again changes nothing. */
  async save(id: string, session: SaveSessionDto, basedOn?: number): Promise<SessionView> {
    for (const [i, round] of session.rounds.entries())
      await this.rounds.fill(round.blocks, `rounds.${i}.blocks`);
    const { title, lead, rounds, word = '', groups = [] } = session;
    const plannedFor = session.plannedFor ? new Date(session.plannedFor) : null;
    const row = { title, lead, rounds, word, groups, plannedFor, ...lengthOf(rounds), updatedAt: new Date() };
    return saveVersioned(this.database, sessions, {
      key: 'id',
      id,
      row,
      contentOf: saveable,
      basedOn,
      now: () => this.one(id),
    });
  }

  /** Makes copies of a session at other instants; one whose id is there already stays as it is. */
  async repeat(id: string, { ids, dates }: RepeatSessionDto): Promise<SessionSummary[]> {
    if (ids.length !== dates.length)
      throw refuseField('dates', 'Each copy needs an id and a date of its own.');
    const [row] = await this.database.select().from(sessions).where(eq(sessions.id, id));
    if (!row) throw new NotFoundException('This session does not exist.');
    const copies = ids.map((copyId, i) => ({
      ...row,
      id: copyId,
      plannedFor: new Date(dates[i]!),
      updatedAt: new Date(),
      version: 1,
    }));
    await this.database.insert(sessions).values(copies).onConflictDoNothing();
    return this.summaries(ids);
  }

  /** Some sessions as a list tells them, by their dates. */
  async summaries(ids: readonly string[]): Promise<SessionSummary[]> {
    const made = await this.database
      .select(SUMMARY)
      .from(sessions)
      .where(inArray(sessions.id, [...ids]))
      .orderBy(asc(sessions.plannedFor));
    return made.map(sessionSummary);
  }

  /** Which of some ids have a session. */
  async kept(ids: readonly string[]): Promise<ReadonlySet<string>> {
    const rows = await this.database
      .select({ id: sessions.id })
      .from(sessions)
      .where(inArray(sessions.id, [...ids]));
    return new Set(rows.map(({ id }) => id));
  }

  /** The combos of the last classes that are planned before an instant, the last one first. */
  async combosPlannedBefore(instant: Date, classes: number): Promise<string[][]> {
    const rows = await this.database
      .select({ rounds: sessions.rounds })
      .from(sessions)
      .where(lt(sessions.plannedFor, instant))
      .orderBy(desc(sessions.plannedFor))
      .limit(classes);
    return rows.map(({ rounds }) => combosNamed(rounds));
  }

  /** Makes the voice of every saved session ahead of time, one session after the other. */
  async warmVoice(): Promise<void> {
    for (const rounds of await this.blocksOfSessions()) await this.rounds.warmVoice(rounds);
  }

  /** Every text that the saved sessions may call. */
  async texts(): Promise<string[]> {
    return this.rounds.texts(await this.blocksOfSessions());
  }

  /** All blocks of each saved session, linked as they will be played, and its word of the day. */
  private async blocksOfSessions(): Promise<SpokenRounds[]> {
    const rows = await this.database.select({ rounds: sessions.rounds, word: sessions.word }).from(sessions);
    return rows.map(({ rounds, word }) => ({
      blocks: heldRounds(rounds).flatMap((round) => round.blocks),
      word,
    }));
  }

  /** Changes blocks of sessions as part of a larger change; `change` gives the same block where nothing does. */
  async changeBlocks(tx: Transaction, change: (block: WrittenBlock) => WrittenBlock): Promise<void> {
    for (const { id, rounds: before, version } of await tx.select().from(sessions).for('update')) {
      const rounds = changedRounds(before, change);
      if (rounds === before) continue;
      const row = { rounds, ...lengthOf(rounds), updatedAt: new Date(), version: version + 1 };
      await tx.update(sessions).set(row).where(eq(sessions.id, id));
    }
  }

  async remove(id: string): Promise<void> {
    const [held] = await this.database
      .select({ id: runs.id })
      .from(runs)
      .where(eq(runs.sessionId, id))
      .limit(1);
    if (held) throw new ConflictException('This session has been held, and its log belongs to it. It stays.');
    await this.database.delete(sessions).where(eq(sessions.id, id));
  }
}

/** What a list tells of a session, without its rounds. */
const SUMMARY = {
  id: sessions.id,
  title: sessions.title,
  plannedFor: sessions.plannedFor,
  heldRounds: sessions.heldRounds,
  seconds: sessions.seconds,
};

function sessionSummary({
  id,
  title,
  plannedFor,
  heldRounds: rounds,
  seconds,
}: Pick<SessionRow, keyof typeof SUMMARY>): SessionSummary {
  return { id, title, plannedFor: plannedFor?.toISOString() ?? null, rounds, seconds };
}

function lengthOf(rounds: readonly RoundDto[]): Pick<SessionRow, 'heldRounds' | 'seconds'> {
  return { heldRounds: unrollRounds(rounds).length, seconds: sessionSeconds(rounds) };
}

type Saveable = Pick<SessionRow, 'title' | 'lead' | 'plannedFor' | 'word' | 'groups' | 'rounds'>;

function saveable({ title, lead, plannedFor, word, groups, rounds }: Saveable) {
  return { title, lead, plannedFor: plannedFor?.toISOString() ?? null, word, groups, rounds };
}
