import { Injectable } from '@nestjs/common';
import { standInMove } from '@eurhythm/core/teach';
import type { StoodIn } from '@eurhythm/contract';
import { CombosService } from '../combos/combos.service.ts';
import { refuseField } from '../http/refuse.ts';
import { MovesService } from '../moves/moves.service.ts';
import type { Database } from '../store/database.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { UsesService } from '../uses/uses.service.ts';
import { RenameReferencesService } from './renameReferences.service.ts';

/** Puts one thing in the place of another, references at once, and tells where it did and where it could not. */
@Injectable()
export class ReplacementService {
  constructor(
    @InjectDatabase() private readonly database: Database,
    private readonly combos: CombosService,
    private readonly moves: MovesService,
    private readonly uses: UsesService,
    private readonly references: RenameReferencesService,
  ) {}

  /** Another combo in sessions, library and lists. Forms of the combo stay forms of it. The same request again changes nothing. */
  async ofCombo(id: string, by: string): Promise<StoodIn> {
    await this.combos.one(id);
    const other = (await this.combos.some([by])).get(by);
    if (!other || other.retired)
      throw refuseField('by', 'The stand-in is not in the book. Choose another combo.');
    if (by === id) throw refuseField('by', 'A combo cannot stand in for itself.');
    const before = await this.uses.ofCombo(id);
    await this.database.transaction((tx) => this.references.changeCombo(tx, id, by));
    return this.done(before, await this.uses.ofCombo(id));
  }

  /** Another move in every line. A line that could not be read with it stays as it is, and is reported. */
  async ofMove(code: string, by: string): Promise<StoodIn> {
    const book = await this.moves.book();
    if (!book.moves.has(code)) throw refuseField('code', `The move book has no “${code}”.`);
    const other = (await this.moves.view()).items.find((move) => move.code === by);
    if (!other || other.retired)
      throw refuseField('by', `The move book has no “${by}” to offer. Choose another move.`);
    if (by === code) throw refuseField('by', 'A move cannot stand in for itself.');
    const before = await this.uses.ofMove(code, book);
    await this.database.transaction((tx) =>
      this.references.changeLines(tx, (line) => standInMove(line, code, by, book)),
    );
    return this.done(before, await this.uses.ofMove(code, await this.moves.book()));
  }

  private done(before: readonly string[], after: readonly string[]): StoodIn {
    return { changed: before.filter((use) => !after.includes(use)), left: [...after] };
  }
}
