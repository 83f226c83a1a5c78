import { Injectable, NotFoundException } from '@nestjs/common';
import { findMove } from '@eurhythm/core/moves';
import type { FieldError, SaveTechniquesDto, TechniqueLists } from '@eurhythm/contract';
import { eq } from 'drizzle-orm';
import { refuseFields } from '../house/refuse.ts';
import { MovesService } from '../moves/moves.service.ts';
import type { Database } from '../store/openStore.ts';
import { combos, grades, techniqueLists } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';

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

  async save(gradeId: string, { techniques }: SaveTechniquesDto): Promise<TechniqueLists> {
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
    await this.database
      .insert(techniqueLists)
      .values({ gradeId, techniques })
      .onConflictDoUpdate({ target: techniqueLists.gradeId, set: { techniques } });
    return this.lists();
  }
}
