import { Injectable } from '@nestjs/common';
import type { SaveSheetDto, SheetView } from '@eurhythm/contract';
import { startOfDay } from 'date-fns';
import { and, desc, eq, gte, inArray } from 'drizzle-orm';
import { refuseField } from '../http/refuse.ts';
import type { Database } from '../store/database.ts';
import { classSheets, fighters, runs } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { saveVersioned } from '../store/versionedWrite.ts';
import { SessionsService } from './sessions.service.ts';

const EMPTY: SaveSheetDto = { present: [], size: 2, rotations: 4 };

/** Who came to a class, what was ticked at the door, and how they are put together. */
@Injectable()
export class SheetsService {
  constructor(
    @InjectDatabase() private readonly database: Database,
    private readonly sessions: SessionsService,
  ) {}

  /** The sheet of a session; an empty one until somebody has come. */
  async one(sessionId: string): Promise<SheetView> {
    await this.sessions.one(sessionId);
    const [row] = await this.database.select().from(classSheets).where(eq(classSheets.sessionId, sessionId));
    const onFloor = await this.onFloor(sessionId);
    return { sessionId, ...EMPTY, ...row?.sheet, version: row?.version ?? 0, onFloor };
  }

  /** The newest class that was begun with a session today. */
  private async onFloor(sessionId: string): Promise<string[] | null> {
    const [run] = await this.database
      .select({ fighterIds: runs.fighterIds })
      .from(runs)
      .where(and(eq(runs.sessionId, sessionId), gte(runs.startedAt, startOfDay(new Date()))))
      .orderBy(desc(runs.startedAt))
      .limit(1);
    return run?.fighterIds ?? null;
  }

  /** Keeps the sheet as it is now; the same request again changes nothing. */
  async save(
    sessionId: string,
    { present, size, rotations, callsNames = false }: SaveSheetDto,
    basedOn?: number,
  ): Promise<SheetView> {
    await this.sessions.one(sessionId);
    await this.mustKnow(present);
    const sheet = { present, size, rotations, ...(callsNames ? { callsNames } : {}) };
    return saveVersioned(this.database, classSheets, {
      key: 'sessionId',
      id: sessionId,
      row: { sheet },
      contentOf: (kept) => kept.sheet,
      basedOn,
      now: () => this.one(sessionId),
    });
  }

  private async mustKnow(present: SaveSheetDto['present']): Promise<void> {
    const ids = present.map(({ fighterId }) => fighterId);
    const known =
      ids.length === 0 ? [] : await this.database.select().from(fighters).where(inArray(fighters.id, ids));
    for (const [i, { fighterId, from, until }] of present.entries()) {
      const fighter = known.find((each) => each.id === fighterId);
      if (!fighter) throw refuseField(`present.${i}.fighterId`, 'This fighter is not in the gym.');
      if (!fighter.fit)
        throw refuseField(
          `present.${i}.fighterId`,
          `${fighter.name} is marked not fit to train. Lift the mark first, on the fighter’s page.`,
        );
      if (until !== null && until <= from)
        throw refuseField(
          `present.${i}.until`,
          `${fighter.name} would leave before the first rotation. Choose a later one.`,
        );
    }
  }
}
