import { BadRequestException, Injectable, NotFoundException } from '@nestjs/common';
import { parseLine } from '@eurhythm/core/line';
import {
  easierChain,
  findMove,
  moveBook,
  type Move,
  type MoveBook,
  type NumberedMove,
} from '@eurhythm/core/moves';
import { renumberLine, writtenStrokes } from '@eurhythm/core/teach';
import {
  moveFromForm,
  type BookView,
  type MoveView,
  type NumbersAnswer,
  type SaveMoveDto,
  type SaveNumbersDto,
  type TouchedLine,
} from '@eurhythm/contract';
import { asc, eq } from 'drizzle-orm';
import type { Database } from '../store/openStore.ts';
import { combos, grades, moves, numbers } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';

@Injectable()
export class MovesService {
  constructor(@InjectDatabase() private readonly database: Database) {}

  async view(): Promise<BookView> {
    const [items, map] = await Promise.all([this.moves(), this.numbers()]);
    return { items, numbers: map };
  }

  private async moves(): Promise<MoveView[]> {
    const rows = await this.database.select().from(moves).orderBy(asc(moves.position));
    return rows.map((row) => ({ ...row.move, aliases: row.move.aliases ?? [], retired: row.retired }));
  }

  private numbers(): Promise<NumberedMove[]> {
    return this.database.select().from(numbers).orderBy(asc(numbers.number));
  }

  /** The gym's book as it is now; retired moves stay readable. */
  async book(): Promise<MoveBook> {
    const { items, numbers: map } = await this.view();
    return moveBook(items, map);
  }

  /** Makes or changes a move, and brings a retired one back. */
  async save(code: string, form: SaveMoveDto): Promise<BookView> {
    if (!/^[a-z]{1,24}$/.test(code)) throw refused('code', 'A code is 1 to 24 small letters, such as jab.');
    const move = moveFromForm(code, form);
    const all = await this.moves();
    this.mustFit(move, all);
    const old = all.find((each) => each.code === code);
    const position = old ? all.indexOf(old) : all.length;
    await this.database
      .insert(moves)
      .values({ code, position, move })
      .onConflictDoUpdate({ target: moves.code, set: { move, retired: false } });
    return this.view();
  }

  private mustFit(move: Move, all: readonly Move[]): void {
    if (move.easier === null) return;
    const book = new Map([...all, move].map((each) => [each.code, each]));
    if (!book.has(move.easier)) throw refused('easier', `The move book has no “${move.easier}”.`);
    const { codes, circular } = easierChain(book, move.code);
    if (circular)
      throw refused(
        'easier',
        `This goes in a circle: ${[...codes, move.easier].join(', then ')}. Choose another easier move.`,
      );
  }

  /** Takes a move out of the book; one that a line, a number or another move needs is retired instead. */
  async remove(code: string): Promise<{ retired: boolean; usedBy: string[] }> {
    const book = await this.book();
    if (!book.moves.has(code)) throw new NotFoundException('This move is not in the book.');
    const usedBy = await this.usersOf(code, book);
    if (usedBy.length > 0)
      await this.database.update(moves).set({ retired: true }).where(eq(moves.code, code));
    else await this.database.delete(moves).where(eq(moves.code, code));
    return { retired: usedBy.length > 0, usedBy };
  }

  private async usersOf(code: string, book: MoveBook): Promise<string[]> {
    const lines = await this.lines();
    const inLines = lines.filter(({ line }) => {
      const parsed = parseLine(line, book);
      return (
        parsed.ok &&
        writtenStrokes(parsed.line).some((stroke) => findMove(book, stroke.word)?.move.code === code)
      );
    });
    return [
      ...inLines.map((each) => each.name),
      ...[...book.numbers.values()]
        .filter((entry) => entry.code === code)
        .map((entry) => `number ${entry.number}`),
      ...[...book.moves.values()]
        .filter((move) => move.easier === code)
        .map((move) => `${move.name}, as its easier move`),
    ];
  }

  private async lines(): Promise<{ comboId: string; name: string; line: string }[]> {
    const rows = await this.database.select().from(combos).innerJoin(grades, eq(combos.gradeId, grades.id));
    return rows.map(({ combos: combo, grades: grade }) => ({
      comboId: combo.id,
      name: `${grade.name} ${combo.number}`,
      line: combo.line,
    }));
  }

  /** The lines that would mean something else under another number map, and how they would be written to mean the same. */
  async touchedBy(wanted: SaveNumbersDto): Promise<TouchedLine[]> {
    const before = await this.book();
    const after = this.numberedBook(before, wanted);
    return (await this.lines()).flatMap((each) => {
      const rewritten = renumberLine(each.line, before, after);
      return rewritten === null ? [] : [{ ...each, rewritten }];
    });
  }

  /** Sets the number map; with `rewrite`, lines are written anew so that they keep their meaning. All or nothing. */
  async saveNumbers(wanted: SaveNumbersDto): Promise<NumbersAnswer> {
    const touched = await this.touchedBy(wanted);
    await this.database.transaction(async (tx) => {
      await tx.delete(numbers);
      if (wanted.numbers.length > 0) await tx.insert(numbers).values(wanted.numbers);
      if (!wanted.rewrite) return;
      for (const { comboId, rewritten } of touched)
        await tx.update(combos).set({ line: rewritten, updatedAt: new Date() }).where(eq(combos.id, comboId));
    });
    return { ...(await this.view()), touched };
  }

  private numberedBook(book: MoveBook, { numbers: wanted }: SaveNumbersDto): MoveBook {
    const seen = new Map<number, string>();
    for (const [i, { number, code, side }] of wanted.entries()) {
      const move = book.moves.get(code);
      if (!move) throw refused(`numbers.${i}.code`, `The move book has no “${code}”.`);
      if (seen.has(number))
        throw refused(`numbers.${i}.number`, `${number} stands for ${seen.get(number)} already.`);
      if (side !== null && move.side.kind !== 'free')
        throw refused(`numbers.${i}.side`, `The side of ${move.name.toLowerCase()} is fixed.`);
      seen.set(number, move.name.toLowerCase());
    }
    return moveBook([...book.moves.values()], wanted);
  }
}

function refused(field: string, message: string): BadRequestException {
  return new BadRequestException({ message, errors: [{ field, message }] });
}
