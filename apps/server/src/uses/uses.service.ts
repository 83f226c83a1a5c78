import { Injectable } from '@nestjs/common';
import type { MoveBook } from '@eurhythm/core/moves';
import { kindOf, type WrittenBlock } from '@eurhythm/core/rounds';
import { usesMove } from '@eurhythm/core/teach';
import { and, asc, count, eq, sql, type SQL } from 'drizzle-orm';
import type { PgTable } from 'drizzle-orm/pg-core';
import type { Database, Transaction } from '../store/database.ts';
import {
  combos,
  fighters,
  grades,
  gyms,
  libraryItems,
  moves,
  sessions,
  techniqueLists,
} from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';

/** Something that holds blocks, as it is told to a coach. */
interface Holder {
  readonly name: string;
  readonly blocks: readonly WrittenBlock[];
}

/** The one place that knows where things of the gym are used; what is used is never taken away. */
@Injectable()
export class UsesService {
  constructor(@InjectDatabase() private readonly database: Database) {}

  /** Where a combo is named: sessions, pieces of the library, lists of the grades, forms of it. */
  async ofCombo(id: string): Promise<string[]> {
    const [holders, lists, forms] = await Promise.all([
      this.holders(),
      this.lists(),
      this.database.select({ title: combos.title, variant: combos.variant }).from(combos),
    ]);
    const names = (block: WrittenBlock): boolean =>
      kindOf(block)
        .named(block)
        .some(({ comboId }) => comboId === id);
    return [
      ...holders.filter(({ blocks }) => blocks.some(names)).map(({ name }) => name),
      ...lists
        .filter(({ techniques }) => techniques.some(({ comboId }) => comboId === id))
        .map(({ grade }) => `the list of ${grade}`),
      ...forms.filter(({ variant }) => variant?.parentId === id).map(({ title }) => `its form “${title}”`),
    ];
  }

  /** Where a move is done: lines of the book, of sessions and of the library, lists of the grades, numbers, easier moves. */
  async ofMove(code: string, book: MoveBook): Promise<string[]> {
    const [holders, lists, lines] = await Promise.all([this.holders(), this.lists(), this.linesOfBook()]);
    const does = (block: WrittenBlock): boolean =>
      kindOf(block)
        .written(block)
        .some(({ line }) => usesMove(line, code, book));
    return [
      ...lines.filter(({ line }) => usesMove(line, code, book)).map(({ name }) => name),
      ...[...book.numbers.values()]
        .filter((entry) => entry.code === code)
        .map((entry) => `number ${entry.number}`),
      ...[...book.moves.values()]
        .filter((move) => move.easier === code)
        .map((move) => `${move.name}, as its easier move`),
      ...holders.filter(({ blocks }) => blocks.some(does)).map(({ name }) => name),
      ...lists
        .filter(({ techniques }) => techniques.some(({ move }) => move === code))
        .map(({ grade }) => `the list of ${grade}`),
    ];
  }

  /** What still belongs to a grade, and where else it is named; both counted, in words. */
  async ofGrade(
    id: string,
    from: Database | Transaction = this.database,
  ): Promise<{ readonly has: string[]; readonly namedIn: string[] }> {
    const named = JSON.stringify([{ gradeIds: [id] }]);
    const limits = JSON.stringify({ youth: [{ gradeId: id }] });
    const number = async (table: PgTable, where: SQL | undefined): Promise<number> => {
      const [row] = await from.select({ n: count() }).from(table).where(where);
      return row?.n ?? 0;
    };
    const has = [
      countText(await number(combos, eq(combos.gradeId, id)), 'combo'),
      countText(await number(fighters, eq(fighters.gradeId, id)), 'fighter'),
      countText(await number(moves, sql`${moves.move}->>'minGrade' = ${id}`), 'move'),
    ];
    const isFilled = sql`jsonb_array_length(${techniqueLists.techniques}) > 0`;
    const namedIn = [
      countText(await number(sessions, sql`${sessions.groups} @> ${named}::jsonb`), 'session'),
      countText(
        await number(techniqueLists, and(eq(techniqueLists.gradeId, id), isFilled)),
        'technique list',
      ),
      countText(
        await number(gyms, sql`${gyms.school} @> ${limits}::jsonb`),
        'row of the children’s limits',
        '',
      ),
    ];
    return { has: has.filter(Boolean), namedIn: namedIn.filter(Boolean) };
  }

  private async linesOfBook(): Promise<{ readonly name: string; readonly line: string }[]> {
    const rows = await this.database
      .select({ grade: grades.name, number: combos.number, line: combos.line })
      .from(combos)
      .innerJoin(grades, eq(combos.gradeId, grades.id));
    return rows.map(({ grade, number, line }) => ({ name: `${grade} ${number}`, line }));
  }

  private async holders(): Promise<Holder[]> {
    const [held, kept] = await Promise.all([
      this.database.select({ title: sessions.title, rounds: sessions.rounds }).from(sessions),
      this.database.select({ title: libraryItems.title, rounds: libraryItems.rounds }).from(libraryItems),
    ]);
    const holder = ({ title, rounds }: (typeof held)[number], where: string): Holder => ({
      name: `“${title}”${where}`,
      blocks: rounds.flatMap(({ blocks }) => blocks),
    });
    return [...held.map((row) => holder(row, '')), ...kept.map((row) => holder(row, ' of the library'))];
  }

  private lists() {
    return this.database
      .select({ grade: grades.name, techniques: techniqueLists.techniques })
      .from(techniqueLists)
      .innerJoin(grades, eq(techniqueLists.gradeId, grades.id))
      .orderBy(asc(grades.position));
  }
}

function countText(n: number, one: string, many = `${one}s`): string {
  return n === 0 ? '' : `${n} ${n === 1 ? one : many}`;
}
