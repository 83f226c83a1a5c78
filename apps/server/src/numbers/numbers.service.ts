import { HttpStatus, Injectable } from '@nestjs/common';
import { moveBook, type MoveBook, type NumberedMove } from '@eurhythm/core/moves';
import { renumberLine } from '@eurhythm/core/teach';
import type { NumbersAnswer, SaveNumbersDto, TouchedLine } from '@eurhythm/contract';
import { RenameReferencesService } from '../renameReferences/renameReferences.service.ts';
import { GymService } from '../gym/gym.service.ts';
import { refuseField } from '../http/refuse.ts';
import { MovesService } from '../moves/moves.service.ts';
import type { Database, Transaction } from '../store/database.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { refusingStale, writeVersioned } from '../store/versionedWrite.ts';

/** The gym's number map, and what a change of it does to the lines of the book. */
@Injectable()
export class NumbersService {
  constructor(
    @InjectDatabase() private readonly database: Database,
    private readonly moves: MovesService,
    private readonly references: RenameReferencesService,
    private readonly gym: GymService,
  ) {}

  /** The lines that would mean something else under another number map, and how they would be written to mean the same. */
  async touchedBy(
    wanted: SaveNumbersDto,
    from: Database | Transaction = this.database,
  ): Promise<TouchedLine[]> {
    const before = await this.moves.book(from);
    const after = numberedBook(before, wanted);
    return (await this.references.lines(from)).flatMap((each) => {
      const rewritten = renumberLine(each.line, before, after);
      return rewritten === null ? [] : [{ ...each, rewritten }];
    });
  }

  /**
   * Sets the number map; with `rewrite`, lines are written anew so that they keep their meaning, and what was held keeps its
   * meaning in any case. All or nothing; the same map again changes nothing.
   */
  async save(wanted: SaveNumbersDto, basedOn?: number): Promise<NumbersAnswer> {
    let touched: TouchedLine[] = [];
    const write = (tx: Transaction) =>
      writeVersioned(
        {
          sent: byNumber(wanted.numbers),
          insert: async () => false,
          read: async () => ({
            version: await this.gym.lockNumbersVersion(tx),
            content: byNumber((await this.moves.view(tx)).numbers),
          }),
          update: async (version) => {
            touched = await this.change(tx, wanted);
            await this.gym.setNumbersVersion(tx, version);
          },
        },
        basedOn,
      );
    // A map that names what is not there is refused before anything is looked at.
    numberedBook(await this.moves.book(), wanted);
    await refusingStale(
      () => this.database.transaction(write),
      async () => {
        const { numbers, numbersVersion } = await this.moves.view();
        return { numbers, version: numbersVersion };
      },
    );
    return { ...(await this.moves.view()), touched };
  }

  private async change(tx: Transaction, wanted: SaveNumbersDto): Promise<TouchedLine[]> {
    const before = await this.moves.book(tx);
    const after = numberedBook(before, wanted);
    const renumbered = (line: string): string | null => renumberLine(line, before, after);
    const lines = await this.touchedBy(wanted, tx);
    await this.moves.writeNumbers(tx, wanted.numbers);
    await this.references.changeHeldLines(tx, renumbered);
    if (wanted.rewrite) await this.references.changeLines(tx, renumbered);
    return lines;
  }
}

/** A map in the order in which it is kept. */
function byNumber(numbers: readonly NumberedMove[]): NumberedMove[] {
  return numbers
    .map(({ number, code, side }) => ({ number, code, side }))
    .sort((a, b) => a.number - b.number);
}

/** The book under another map. @throws 400 where the map names what is not there, or a number twice. */
function numberedBook(book: MoveBook, { numbers }: SaveNumbersDto): MoveBook {
  const seen = new Map<number, string>();
  const refuse = (field: string, message: string) => refuseField(field, message, HttpStatus.BAD_REQUEST);
  for (const [i, { number, code, side }] of numbers.entries()) {
    const move = book.moves.get(code);
    if (!move) throw refuse(`numbers.${i}.code`, `The move book has no “${code}”.`);
    if (seen.has(number))
      throw refuse(`numbers.${i}.number`, `${number} stands for ${seen.get(number)} already.`);
    if (side !== null && move.side.kind !== 'free')
      throw refuse(`numbers.${i}.side`, `The side of ${move.name.toLowerCase()} is fixed.`);
    seen.set(number, move.name.toLowerCase());
  }
  return moveBook([...book.moves.values()], numbers, book.sides);
}
