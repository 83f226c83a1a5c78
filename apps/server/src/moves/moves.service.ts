import { HttpStatus, Injectable, NotFoundException } from '@nestjs/common';
import { callClash } from '@eurhythm/core/calls';
import { easierChain, moveBook, type Move, type MoveBook, type NumberedMove } from '@eurhythm/core/moves';
import {
  MOVE_CODE,
  formFromMove,
  moveFromForm,
  type BookView,
  type MoveView,
  type RemovedMove,
  type SaveMoveDto,
} from '@eurhythm/contract';
import { asc, eq } from 'drizzle-orm';
import { askedTogether } from '../store/askedTogether.ts';
import { refuseField } from '../http/refuse.ts';
import type { Database, Transaction } from '../store/database.ts';
import { grades, gyms, moves, numbers } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { saveVersioned } from '../store/versionedWrite.ts';
import { UsesService } from '../uses/uses.service.ts';

@Injectable()
export class MovesService {
  constructor(
    @InjectDatabase() private readonly database: Database,
    private readonly uses: UsesService,
  ) {}

  /** The book as it is now, or as a transaction sees it. */
  view(from: Database | Transaction = this.database): Promise<BookView> {
    return from === this.database ? this.viewNow() : this.viewIn(from);
  }

  private readonly viewNow = askedTogether(() => this.viewIn(this.database));

  private async viewIn(from: Database | Transaction): Promise<BookView> {
    const items = await this.moves(from);
    const map = await this.numbers(from);
    const [gym] = await from.select({ version: gyms.numbersVersion, school: gyms.school }).from(gyms);
    const sides = gym?.school?.sides ?? 'lead-rear';
    return { items, numbers: map, numbersVersion: gym?.version ?? 0, sides };
  }

  private async moves(from: Database | Transaction = this.database): Promise<MoveView[]> {
    const rows = await from.select().from(moves).orderBy(asc(moves.position));
    return rows.map((row) => ({
      ...row.move,
      aliases: row.move.aliases ?? [],
      role: row.move.role ?? null,
      retired: row.retired,
      version: row.version,
    }));
  }

  private numbers(from: Database | Transaction): Promise<NumberedMove[]> {
    return from.select().from(numbers).orderBy(asc(numbers.number));
  }

  /** The gym's book as it is now; retired moves stay readable. */
  async book(from: Database | Transaction = this.database): Promise<MoveBook> {
    const { items, numbers: map, sides } = await this.view(from);
    const text = JSON.stringify([items, map, sides]);
    if (this.kept?.text !== text) this.kept = { text, book: moveBook(items, map, sides) };
    return this.kept.book;
  }

  /** The book stays the same one as long as nothing in it is another: what is read and walked is kept with it. */
  private kept: { readonly text: string; readonly book: MoveBook } | null = null;

  /** Makes or changes a move, and brings a retired one back. */
  async save(code: string, form: SaveMoveDto, basedOn?: number): Promise<BookView> {
    if (!MOVE_CODE.test(code))
      throw refuseField('code', 'A code is 1 to 24 small letters, such as jab.', HttpStatus.BAD_REQUEST);
    const move = moveFromForm(code, form);
    const all = await this.moves();
    this.mustFit(move, all);
    await this.mustKnowGrade(move.minGrade);
    const old = all.find((each) => each.code === code);
    const position = old ? all.indexOf(old) : all.length;
    await saveVersioned(this.database, moves, {
      key: 'code',
      id: code,
      row: { position, move, retired: false },
      contentOf: ({ move: kept, retired }) => ({ move: kept, retired }),
      basedOn,
      now: () => this.form(code),
    });
    return this.view();
  }

  /** A move as a form writes it, with its version. */
  private async form(code: string): Promise<SaveMoveDto & { version: number }> {
    const [row] = await this.database.select().from(moves).where(eq(moves.code, code));
    if (!row) throw new NotFoundException('This move is not in the book.');
    return { ...formFromMove(row.move), version: row.version };
  }

  private async mustKnowGrade(gradeId: string | null): Promise<void> {
    if (gradeId === null) return;
    const [grade] = await this.database.select().from(grades).where(eq(grades.id, gradeId));
    if (!grade) throw refuseField('minGrade', 'This grade does not exist.');
  }

  private mustFit(move: Move, all: readonly MoveView[]): void {
    const clash = callClash(
      move,
      all.filter(({ retired }) => !retired),
    );
    if (clash)
      throw refuseField(
        clash.which === 'long' ? 'sayLong' : 'sayShort',
        clash.message,
        HttpStatus.BAD_REQUEST,
      );
    if (move.easier === null) return;
    const book = new Map([...all, move].map((each) => [each.code, each]));
    if (!book.has(move.easier))
      throw refuseField('easier', `The move book has no “${move.easier}”.`, HttpStatus.BAD_REQUEST);
    const { codes, circular } = easierChain(book, move.code);
    if (circular)
      throw refuseField(
        'easier',
        `This goes in a circle: ${[...codes, move.easier].join(', then ')}. Choose another easier move.`,
        HttpStatus.BAD_REQUEST,
      );
  }

  /** Where a move is used. */
  async usesOf(code: string): Promise<string[]> {
    const book = await this.book();
    if (!book.moves.has(code)) throw new NotFoundException('This move is not in the book.');
    return this.uses.ofMove(code, book);
  }

  /** Takes a move out of the book; one that is used anywhere is retired instead. */
  async remove(code: string): Promise<RemovedMove> {
    const book = await this.book();
    if (!book.moves.has(code)) throw new NotFoundException('This move is not in the book.');
    const usedBy = await this.uses.ofMove(code, book);
    if (usedBy.length > 0)
      await this.database.update(moves).set({ retired: true }).where(eq(moves.code, code));
    else await this.database.delete(moves).where(eq(moves.code, code));
    return { retired: usedBy.length > 0, usedBy };
  }

  /** Sets the number map as part of a larger change. */
  async writeNumbers(tx: Transaction, wanted: readonly NumberedMove[]): Promise<void> {
    await tx.delete(numbers);
    if (wanted.length > 0) await tx.insert(numbers).values([...wanted]);
  }
}
