import { ForbiddenException, Injectable, NotFoundException } from '@nestjs/common';
import { PACE_FACTORS } from '@eurhythm/core/body';
import { findMove } from '@eurhythm/core/moves';
import { withExactLength, type WrittenBlock } from '@eurhythm/core/rounds';
import type { LibraryItem, SaveLibraryItemDto } from '@eurhythm/contract';
import { asc, eq } from 'drizzle-orm';
import { CombosService } from '../combos/combos.service.ts';
import { TechniquesService } from '../grades/techniques.service.ts';
import { GymService } from '../gym/gym.service.ts';
import { MovesService } from '../moves/moves.service.ts';
import { changedRounds } from '../sessions/changedRounds.ts';
import { RoundsService } from '../sessions/rounds.service.ts';
import type { Database, Transaction } from '../store/database.ts';
import { libraryItems } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { saveVersioned } from '../store/versionedWrite.ts';
import { gradeTest } from './gradeTest.ts';
import { STARTER_LIBRARY } from './starterLibrary.ts';

const STARTER = 'starter.';

/** Rounds to use again: what the gym kept, what ships with the product, and a test for each grade. */
@Injectable()
export class LibraryService {
  constructor(
    @InjectDatabase() private readonly database: Database,
    private readonly combos: CombosService,
    private readonly moves: MovesService,
    private readonly gym: GymService,
    private readonly techniques: TechniquesService,
    private readonly rounds: RoundsService,
  ) {}

  /** Own ones first; all with the lengths that their counts have at this gym's pace. */
  async list(): Promise<LibraryItem[]> {
    const [own, book, { school, grades }, combos, lists] = await Promise.all([
      this.database.select().from(libraryItems).orderBy(asc(libraryItems.title)),
      this.moves.book(),
      this.gym.gym(),
      this.combos.list(),
      this.techniques.lists(),
    ]);
    const nameOf = (move: string): string | null =>
      findMove(book, move.replace(/^[fr]:/, ''))?.move.name ?? null;
    const tests = grades.flatMap((grade) => gradeTest(grade, combos, lists[grade.id] ?? [], nameOf) ?? []);
    const all = [...own.map(ownItem), ...STARTER_LIBRARY, ...tests];
    return all.map((item) => ({
      ...item,
      rounds: item.rounds.map((round) => ({
        ...round,
        blocks: round.blocks.map((block) => withExactLength(block, book, PACE_FACTORS[school.pace])),
      })),
    }));
  }

  /** Keeps rounds under a name; the same request again changes nothing. */
  async save(id: string, { title, rounds }: SaveLibraryItemDto, basedOn?: number): Promise<LibraryItem> {
    mustBeOwn(id);
    for (const [i, round] of rounds.entries()) await this.rounds.fill(round.blocks, `rounds.${i}.blocks`);
    return saveVersioned(this.database, libraryItems, {
      key: 'id',
      id,
      row: { title, rounds, updatedAt: new Date() },
      contentOf: (kept) => ({ title: kept.title, rounds: kept.rounds }),
      basedOn,
      now: () => this.one(id),
    });
  }

  private async one(id: string): Promise<LibraryItem> {
    const [row] = await this.database.select().from(libraryItems).where(eq(libraryItems.id, id));
    if (!row) throw new NotFoundException('This is not in the library any more.');
    return ownItem(row);
  }

  /** Changes blocks of the gym's own pieces as part of a larger change. */
  async changeBlocks(tx: Transaction, change: (block: WrittenBlock) => WrittenBlock): Promise<void> {
    for (const { id, rounds: before, version } of await tx.select().from(libraryItems).for('update')) {
      const rounds = changedRounds(before, change);
      if (rounds === before) continue;
      const row = { rounds, updatedAt: new Date(), version: version + 1 };
      await tx.update(libraryItems).set(row).where(eq(libraryItems.id, id));
    }
  }

  async remove(id: string): Promise<void> {
    mustBeOwn(id);
    await this.database.delete(libraryItems).where(eq(libraryItems.id, id));
  }
}

function ownItem({ id, title, rounds, version }: typeof libraryItems.$inferSelect): LibraryItem {
  return { id, title, rounds, own: true, about: '', version };
}

function mustBeOwn(id: string): void {
  if (id.startsWith(STARTER))
    throw new ForbiddenException(
      'This one ships with the product. Put it into a session, change it there, and keep it under a name of your own.',
    );
}
