import {
  ConflictException,
  Injectable,
  NotFoundException,
  UnprocessableEntityException,
} from '@nestjs/common';
import { sessionSeconds, unrollRounds } from '@eurhythm/core/plan';
import type {
  AnyBlockDto,
  RepeatSessionDto,
  SaveSessionDto,
  SessionSummary,
  SessionView,
} from '@eurhythm/contract';
import { asc, eq } from 'drizzle-orm';
import type { Database } from '../store/openStore.ts';
import { runs, sessions } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { heldRounds } from './heldRounds.ts';
import { RoundsService } from './rounds.service.ts';

type SessionRow = typeof sessions.$inferSelect;

@Injectable()
export class SessionsService {
  constructor(
    @InjectDatabase() private readonly database: Database,
    private readonly rounds: RoundsService,
  ) {}

  async list(): Promise<SessionSummary[]> {
    const rows = await this.database
      .select()
      .from(sessions)
      .orderBy(asc(sessions.plannedFor), asc(sessions.title));
    return rows.map(sessionSummary);
  }

  async one(id: string): Promise<SessionView> {
    const [row] = await this.database.select().from(sessions).where(eq(sessions.id, id));
    if (!row) throw new NotFoundException('This session does not exist.');
    const { title, lead, rounds, word, groups } = row;
    return { id, title, lead, rounds, word, groups, plannedFor: row.plannedFor?.toISOString() ?? null };
  }

  /** Makes or changes a session; the same request again changes nothing. */
  async save(id: string, session: SaveSessionDto): Promise<SessionView> {
    for (const [i, round] of session.rounds.entries())
      await this.rounds.mustFill(round.blocks, `rounds.${i}.blocks`);
    const row = {
      title: session.title,
      lead: session.lead,
      rounds: session.rounds,
      word: session.word ?? '',
      groups: session.groups ?? [],
      plannedFor: session.plannedFor ? new Date(session.plannedFor) : null,
      updatedAt: new Date(),
    };
    await this.database
      .insert(sessions)
      .values({ id, ...row })
      .onConflictDoUpdate({ target: sessions.id, set: row });
    return this.one(id);
  }

  /** Makes copies of a session at other instants; one whose id is there already stays as it is. */
  async repeat(id: string, { ids, dates }: RepeatSessionDto): Promise<SessionSummary[]> {
    if (ids.length !== dates.length) {
      const message = 'Each copy needs an id and a date of its own.';
      throw new UnprocessableEntityException({ message, errors: [{ field: 'dates', message }] });
    }
    const [row] = await this.database.select().from(sessions).where(eq(sessions.id, id));
    if (!row) throw new NotFoundException('This session does not exist.');
    const copies = ids.map((copyId, i) => ({
      ...row,
      id: copyId,
      plannedFor: new Date(dates[i]!),
      updatedAt: new Date(),
    }));
    await this.database.insert(sessions).values(copies).onConflictDoNothing();
    const all = await this.list();
    return all.filter((session) => ids.includes(session.id));
  }

  /** Makes the voice of every saved session ahead of time, one session after the other. */
  async warmVoice(): Promise<void> {
    for (const { blocks, word } of await this.blocksOfSessions()) await this.rounds.warmVoice(blocks, word);
  }

  /** Every text that the saved sessions may call. */
  async texts(): Promise<string[]> {
    const texts = await Promise.all(
      (await this.blocksOfSessions()).map(({ blocks, word }) => this.rounds.texts(blocks, word)),
    );
    return [...new Set(texts.flat())];
  }

  /** All blocks of each saved session, linked as they will be played, and its word of the day. */
  private async blocksOfSessions(): Promise<{ blocks: AnyBlockDto[]; word: string }[]> {
    const rows = await this.database.select({ rounds: sessions.rounds, word: sessions.word }).from(sessions);
    return rows.map(({ rounds, word }) => ({
      blocks: heldRounds(rounds).flatMap((round) => round.blocks),
      word,
    }));
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

export function sessionSummary(row: SessionRow): SessionSummary {
  return {
    id: row.id,
    title: row.title,
    plannedFor: row.plannedFor?.toISOString() ?? null,
    rounds: unrollRounds(row.rounds).length,
    seconds: sessionSeconds(row.rounds),
  };
}
