import { Injectable } from '@nestjs/common';
import { moveBook, type Move, type MoveBook, type NumberedMove } from '@eurhythm/core/moves';
import { asc } from 'drizzle-orm';
import type { Database } from '../store/openStore.ts';
import { moves, numbers } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';

@Injectable()
export class MovesService {
  constructor(@InjectDatabase() private readonly database: Database) {}

  async moves(): Promise<Move[]> {
    const rows = await this.database.select().from(moves).orderBy(asc(moves.position));
    return rows.map((row) => row.move);
  }

  numbers(): Promise<NumberedMove[]> {
    return this.database.select().from(numbers).orderBy(asc(numbers.number));
  }

  /** The gym's book as it is now. */
  async book(): Promise<MoveBook> {
    const [list, map] = await Promise.all([this.moves(), this.numbers()]);
    return moveBook(list, map);
  }
}
