import { isDeepStrictEqual } from 'node:util';
import { Injectable, NotFoundException } from '@nestjs/common';
import { findMove } from '@eurhythm/core/moves';
import type { FieldError, SaveTechniquesDto, TechniqueDto, TechniqueLists } from '@eurhythm/contract';
import { asc, eq } from 'drizzle-orm';
import { refuseFields } from '../http/refuse.ts';
import { MovesService } from '../moves/moves.service.ts';
import type { Database, Transaction } from '../store/database.ts';
import { combos, grades, techniqueLists } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { saveVersioned } from '../store/versionedWrite.ts';

/** Which moves and combos each grade trains, and how often. */
@Injectable()
export class TechniquesService {
  constructor(
    @InjectDatabase() private readonly database: Database,
    private readonly moves: MovesService,
  ) {}

  async lists(): Promise<TechniqueLists> {
    const rows = await this.database.select().from(techniqueLists);
    return Object.fromEntries(rows.map((row) => [row.gradeId, row.techniques]));
  }

  /** The lists with the names of their grades, lowest first. */
  named(from: Database | Transaction = this.database) {
    return from
      .select({ grade: grades.name, techniques: techniqueLists.techniques })
      .from(techniqueLists)
      .innerJoin(grades, eq(techniqueLists.gradeId, grades.id))
      .orderBy(asc(grades.position));
  }

  /** Changes entries of the lists as part of a larger change. */
  async change(tx: Transaction, change: (technique: TechniqueDto) => TechniqueDto): Promise<void> {
    for (const { gradeId, techniques: before, version } of await tx
      .select()
      .from(techniqueLists)
      .for('update')) {
      const techniques = before.map(change);
      if (isDeepStrictEqual(techniques, before)) continue;
      await tx
        .update(techniqueLists)
        .set({ techniques, version: version + 1 })
        .where(eq(techniqueLists.gradeId, gradeId));
    }
  }

  async save(gradeId: string, { techniques }: SaveTechniquesDto, basedOn?: number): Promise<TechniqueLists> {
    const [grade] = await this.database.select().from(grades).where(eq(grades.id, gradeId));
    if (!grade) throw new NotFoundException('This grade does not exist.');
    const book = await this.moves.book();
    const known = new Set(
      (await this.database.select({ id: combos.id }).from(combos)).map((combo) => combo.id),
    );
    const errors = techniques.flatMap(({ move, comboId }, i): FieldError[] => {
      if (comboId !== null && comboId !== undefined)
        return known.has(comboId)
          ? []
          : [{ field: `techniques.${i}.comboId`, message: 'This combo is not in the book any more.' }];
      const word = (move ?? '').replace(/^[fr]:/, '');
      return findMove(book, word)
        ? []
        : [{ field: `techniques.${i}.move`, message: `The move book has no “${word}”.` }];
    });
    if (errors.length > 0) throw refuseFields(errors);
    await saveVersioned(this.database, techniqueLists, {
      key: 'gradeId',
      id: gradeId,
      row: { techniques },
      contentOf: ({ techniques: kept }) => kept,
      basedOn,
      now: () => this.list(gradeId),
    });
    return this.lists();
  }

  private async list(gradeId: string): Promise<SaveTechniquesDto & { version: number }> {
    const [row] = await this.database
      .select()
      .from(techniqueLists)
      .where(eq(techniqueLists.gradeId, gradeId));
    return { techniques: row?.techniques ?? [], version: row?.version ?? 0 };
  }
}
