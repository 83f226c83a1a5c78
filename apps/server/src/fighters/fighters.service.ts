import { Injectable, NotFoundException } from '@nestjs/common';
import type { FighterPage, FighterView, PageQuery, SaveFighterDto } from '@eurhythm/contract';
import { and, asc, eq, inArray, sql, type SQL } from 'drizzle-orm';
import { pageLength, pageOf } from '../house/pages.ts';
import { refuseField } from '../house/refuse.ts';
import type { Database } from '../store/openStore.ts';
import { fighters, grades } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { refusingStale, writeVersioned } from '../store/versionedWrite.ts';

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
    return rows.map((row) => ({ ...row.fighters, grade: row.grades.name }));
  }

  async save(id: string, fighter: SaveFighterDto, basedOn?: number): Promise<FighterView> {
    const [grade] = await this.database.select().from(grades).where(eq(grades.id, fighter.gradeId));
    if (!grade) throw refuseField('gradeId', 'This grade does not exist.');
    await refusingStale(
      () =>
        this.database.transaction((tx) =>
          writeVersioned(
            {
              sent: saveable(fighter),
              insert: async () =>
                (
                  await tx
                    .insert(fighters)
                    .values({ id, ...fighter })
                    .onConflictDoNothing()
                    .returning({ id: fighters.id })
                ).length > 0,
              read: async () => {
                const [kept] = await tx.select().from(fighters).where(eq(fighters.id, id)).for('update');
                return { content: saveable(kept!), version: kept!.version };
              },
              update: async (version) => {
                await tx
                  .update(fighters)
                  .set({ ...fighter, version })
                  .where(eq(fighters.id, id));
              },
            },
            basedOn,
          ),
        ),
      () => this.one(id),
    );
    return this.one(id);
  }
}

function saveable({ name, gradeId, lead, note, fit, height, apart }: SaveFighterDto): SaveFighterDto {
  return { name, gradeId, lead, note, fit, height: height ?? null, apart: apart ?? [] };
}
