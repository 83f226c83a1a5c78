import { HttpStatus, Injectable, NotFoundException } from '@nestjs/common';
import type {
  FighterPage,
  FighterView,
  PageQuery,
  SaveFighterDto,
  SetFitDto,
  FitView,
} from '@eurhythm/contract';
import { and, asc, eq, inArray, ne, sql, type SQL } from 'drizzle-orm';
import { pageLength, pageOf } from '../http/pages.ts';
import { refuseField } from '../http/refuse.ts';
import type { Database, Transaction } from '../store/database.ts';
import { fighters, grades } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { saveVersioned } from '../store/versionedWrite.ts';

@Injectable()
export class FightersService {
  constructor(@InjectDatabase() private readonly database: Database) {}

  /** A page of fighters, in the order of their grades, then of their names. */
  async page(query: PageQuery): Promise<FighterPage> {
    const length = pageLength(query);
    const after =
      query.after === undefined
        ? undefined
        : sql`(${grades.position}, ${fighters.name}, ${fighters.id}) > (select g.position, f.name, f.id from fighters f join grades g on g.id = f.grade_id where f.id = ${query.after})`;
    return pageOf(await this.read(after, length + 1), length);
  }

  /** Everybody who may train now. */
  /** Everybody, by grades. */
  all(): Promise<FighterView[]> {
    return this.read(undefined);
  }

  fit(): Promise<FighterView[]> {
    return this.read(eq(fighters.fit, true));
  }

  some(ids: readonly string[]): Promise<FighterView[]> {
    return ids.length === 0 ? Promise.resolve([]) : this.read(inArray(fighters.id, [...ids]));
  }

  async one(id: string): Promise<FighterView> {
    const [found] = await this.some([id]);
    if (!found) throw new NotFoundException('This fighter is not in the gym.');
    return found;
  }

  private async read(where: SQL | undefined, most?: number): Promise<FighterView[]> {
    const query = this.database
      .select()
      .from(fighters)
      .innerJoin(grades, eq(fighters.gradeId, grades.id))
      .where(and(where))
      .orderBy(asc(grades.position), asc(fighters.name), asc(fighters.id));
    const rows = await (most === undefined ? query : query.limit(most));
    return rows.map(({ fighters: { fitReason: _, fitBy: _by, fitAt: _at, ...row }, grades: grade }) => ({
      ...row,
      grade: grade.name,
    }));
  }

  /**
   * Makes or changes an entry. That somebody may not train can be said with the rest; that somebody may again is said by itself.
   */
  async save(id: string, { fit, ...fighter }: SaveFighterDto, basedOn?: number): Promise<FighterView> {
    const [grade] = await this.database.select().from(grades).where(eq(grades.id, fighter.gradeId));
    if (!grade) throw refuseField('gradeId', 'This grade does not exist.');
    const [kept] = await this.database.select().from(fighters).where(eq(fighters.id, id));
    if (kept && !kept.fit && fit === true)
      throw refuseField(
        'fit',
        `${kept.name} is marked not fit to train${kept.fitReason === '' ? '' : `: ${kept.fitReason}`}. Lift the mark by itself, with a reason.`,
        HttpStatus.CONFLICT,
      );
    const isFit = fit ?? kept?.fit ?? true;
    return saveVersioned(this.database, fighters, {
      key: 'id',
      id,
      row: { ...fighter, fit: isFit, ...(isFit || kept?.fit === false ? {} : { fitAt: new Date() }) },
      contentOf: saveable,
      basedOn,
      now: () => this.one(id),
    });
  }

  /** Gives somebody a grade as part of a larger change. */
  async promote(tx: Transaction, id: string, gradeId: string): Promise<void> {
    await tx
      .update(fighters)
      .set({ gradeId, version: sql`${fighters.version} + 1` })
      .where(and(eq(fighters.id, id), ne(fighters.gradeId, gradeId)));
  }

  async fitOf(id: string): Promise<FitView> {
    const [row] = await this.database.select().from(fighters).where(eq(fighters.id, id));
    if (!row) throw new NotFoundException('This fighter is not in the gym.');
    const { fit, fitReason: reason, fitBy: by, fitAt, version } = row;
    return { fit, reason, by, at: fitAt?.toISOString() ?? null, version };
  }

  /** Says whether somebody may train, why, and who says so. The same again changes nothing. */
  async setFit(id: string, { fit, reason, by }: SetFitDto, basedOn?: number): Promise<FitView> {
    await this.one(id);
    return saveVersioned(this.database, fighters, {
      key: 'id',
      id,
      row: { fit, fitReason: reason, fitBy: by, fitAt: new Date() },
      onlyChanges: true,
      contentOf: (kept) => ({ fit: kept.fit, reason: kept.fitReason, by: kept.fitBy }),
      basedOn,
      now: () => this.fitOf(id),
    });
  }
}

type Saveable = Omit<typeof fighters.$inferSelect, 'id' | 'version'>;

function saveable({ name, gradeId, lead, note, fit, height, apart, care }: Saveable) {
  return { name, gradeId, lead, note, fit, height: height ?? null, apart: apart ?? [], care: care ?? null };
}
