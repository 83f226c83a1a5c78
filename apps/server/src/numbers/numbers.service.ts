import { HttpStatus, Injectable } from '@nestjs/common';
import { moveBook, type MoveBook } from '@eurhythm/core/moves';
import { renumberLine } from '@eurhythm/core/teach';
import type { NumbersAnswer, SaveNumbersDto, TouchedLine } from '@eurhythm/contract';
import { CombosService } from '../combos/combos.service.ts';
import { refuseField } from '../house/refuse.ts';
import { MovesService } from '../moves/moves.service.ts';
import type { Database } from '../store/openStore.ts';
import { InjectDatabase } from '../store/store.module.ts';
import type { Transaction } from '../store/transaction.ts';

/** The gym's number map, and what a change of it does to the lines of the book. */
@Injectable()
export class NumbersService {
  constructor(
    @InjectDatabase() private readonly database: Database,
    private readonly moves: MovesService,
    private readonly combos: CombosService,
  ) {}

  /** The lines that would mean something else under another number map, and how they would be written to mean the same. */
  async touchedBy(
    wanted: SaveNumbersDto,
    from: Database | Transaction = this.database,
  ): Promise<TouchedLine[]> {
    const before = await this.moves.book(from);
    const after = numberedBook(before, wanted);
    return (await this.combos.lines(from)).flatMap((each) => {
      const rewritten = renumberLine(each.line, before, after);
      return rewritten === null ? [] : [{ ...each, rewritten }];
    });
  }

  /** Sets the number map; with `rewrite`, lines are written anew so that they keep their meaning. All or nothing. */
  async save(wanted: SaveNumbersDto): Promise<NumbersAnswer> {
    const touched = await this.database.transaction(async (tx) => {
      const lines = await this.touchedBy(wanted, tx);
      await this.moves.writeNumbers(tx, wanted.numbers);
      if (wanted.rewrite)
        await this.combos.rewriteLines(
          tx,
          lines.map(({ comboId, rewritten }) => ({ comboId, line: rewritten })),
        );
      return lines;
    });
    return { ...(await this.moves.view()), touched };
  }
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
  return moveBook([...book.moves.values()], numbers);
}
