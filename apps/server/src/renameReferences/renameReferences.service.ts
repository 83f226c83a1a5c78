import { Injectable } from '@nestjs/common';
import { kindOf, withCombo, withLines, type WrittenBlock } from '@eurhythm/core/rounds';
import { eq } from 'drizzle-orm';
import type { Database, Transaction } from '../store/database.ts';
import { CombosService } from '../combos/combos.service.ts';
import { TechniquesService } from '../grades/techniques.service.ts';
import { LibraryService } from '../library/library.service.ts';
import { RunsService } from '../runs/runs.service.ts';
import { SessionsService } from '../sessions/sessions.service.ts';
import { combos, grades, libraryItems, sessions, tests } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { AssessmentsService } from '../assessments/assessments.service.ts';

/** A line that stands somewhere in the gym. */
export interface NamedLine {
  /** Of a line of the book; null for one that stands elsewhere. */
  readonly comboId: string | null;
  /** Where it stands, in words. */
  readonly name: string;
  readonly line: string;
}

/** How a line is written anew; null for one that stays. */
export type ChangeLine = (line: string) => string | null;

/** Reads and changes what stands in many places of the gym at once: each room writes its own, in one transaction. */
@Injectable()
export class RenameReferencesService {
  constructor(
    @InjectDatabase() private readonly database: Database,
    private readonly combos: CombosService,
    private readonly sessions: SessionsService,
    private readonly library: LibraryService,
    private readonly techniques: TechniquesService,
    private readonly tests: AssessmentsService,
    private readonly runs: RunsService,
  ) {}

  /** Every line that will be done again: of the book, of sessions, the library, tests and the lists of grades. */
  async lines(from: Database | Transaction = this.database): Promise<NamedLine[]> {
    const book = await from.select().from(combos).innerJoin(grades, eq(combos.gradeId, grades.id));
    const held = await from.select({ title: sessions.title, rounds: sessions.rounds }).from(sessions);
    const kept = await from
      .select({ title: libraryItems.title, rounds: libraryItems.rounds })
      .from(libraryItems);
    const measured = await from.select({ title: tests.title, line: tests.line }).from(tests);
    const lists = await this.techniques.named(from);
    const ownLines = ({ title, rounds }: (typeof held)[number], where: string): NamedLine[] =>
      rounds.flatMap((round) =>
        round.blocks
          .flatMap((block) => kindOf(block).written(block))
          .map(({ line }) => ({ comboId: null, name: `“${title}”${where}, ${round.title}`, line })),
      );
    return [
      ...book.map(({ combos: combo, grades: grade }) => ({
        comboId: combo.id,
        name: `${grade.name} ${combo.number}`,
        line: combo.line,
      })),
      ...held.flatMap((row) => ownLines(row, '')),
      ...kept.flatMap((row) => ownLines(row, ' of the library')),
      ...measured.flatMap(({ title, line }) =>
        line === null ? [] : [{ comboId: null, name: `the test “${title}”`, line }],
      ),
      ...lists.flatMap(({ grade, techniques }) =>
        techniques.flatMap(({ move }) =>
          move === null ? [] : [{ comboId: null, name: `the list of ${grade}`, line: move }],
        ),
      ),
    ];
  }

  /** Writes lines anew wherever they stand and will be done again. */
  async changeLines(tx: Transaction, change: ChangeLine): Promise<void> {
    const inBlocks = (block: WrittenBlock): WrittenBlock => withLines(block, change);
    await this.combos.changeLines(tx, change);
    await this.sessions.changeBlocks(tx, inBlocks);
    await this.library.changeBlocks(tx, inBlocks);
    await this.tests.changeLines(tx, change);
    await this.techniques.change(tx, (technique) => ({
      ...technique,
      move: technique.move === null ? null : (change(technique.move) ?? technique.move),
    }));
  }

  /** What was held keeps its meaning: its lines are written anew too. */
  async changeHeldLines(tx: Transaction, change: ChangeLine): Promise<void> {
    await this.runs.changeBlocks(tx, (block) => withLines(block, change));
  }

  /** Puts one combo in the place of another in sessions, the library and the lists of the grades. */
  async changeCombo(tx: Transaction, from: string, to: string): Promise<void> {
    const inBlocks = (block: WrittenBlock): WrittenBlock => withCombo(block, from, to);
    await this.sessions.changeBlocks(tx, inBlocks);
    await this.library.changeBlocks(tx, inBlocks);
    await this.techniques.change(tx, (technique) =>
      technique.comboId === from ? { ...technique, comboId: to } : technique,
    );
  }
}
