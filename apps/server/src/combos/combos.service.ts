import {
  ConflictException,
  HttpStatus,
  Injectable,
  NotFoundException,
  UnprocessableEntityException,
} from '@nestjs/common';
import { PACE_FACTORS, analyseCombo, audienceOf } from '@eurhythm/core/body';
import { parseLine, type LineError } from '@eurhythm/core/line';
import { cycleLength } from '@eurhythm/core/rounds';
import { followsParent, makeVariant } from '@eurhythm/core/teach';
import type {
  AnalyseComboDto,
  AnalysisView,
  ComboVersion,
  ComboView,
  OrderCombosDto,
  SaveComboDto,
} from '@eurhythm/contract';
import { and, asc, desc, eq, inArray, ne } from 'drizzle-orm';
import { GymService } from '../gym/gym.service.ts';
import { askedTogether } from '../store/askedTogether.ts';
import { refuseField } from '../http/refuse.ts';
import { MovesService } from '../moves/moves.service.ts';
import type { Database, Transaction } from '../store/database.ts';
import { comboVersions, combos, grades } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { refusingStale, versionedRow, writeVersioned } from '../store/versionedWrite.ts';
import { UsesService } from '../uses/uses.service.ts';
import { analysisView } from './analysisView.ts';

@Injectable()
export class CombosService {
  constructor(
    @InjectDatabase() private readonly database: Database,
    private readonly moves: MovesService,
    private readonly gym: GymService,
    private readonly uses: UsesService,
  ) {}

  /** The combos of the book; with `retired` also those that are only still used somewhere. */
  async list({ retired = false }: { retired?: boolean } = {}): Promise<ComboView[]> {
    const rows = await this.allRows();
    return rows.map(comboView).filter((combo) => retired || !combo.retired);
  }

  private readonly allRows = askedTogether(async () => this.rows());

  async one(id: string): Promise<ComboView> {
    const [row] = await this.rows([id]);
    if (!row) throw new NotFoundException('This combo is not in the book.');
    return comboView(row);
  }

  async some(ids: readonly string[]): Promise<Map<string, ComboView>> {
    const rows = ids.length === 0 ? [] : await this.rows(ids);
    return new Map(rows.map((row) => [row.combos.id, comboView(row)]));
  }

  private rows(ids?: readonly string[]) {
    return this.database
      .select()
      .from(combos)
      .innerJoin(grades, eq(combos.gradeId, grades.id))
      .where(ids ? inArray(combos.id, [...ids]) : undefined)
      .orderBy(asc(grades.position), asc(combos.number));
  }

  async analyse(asked: AnalyseComboDto): Promise<AnalysisView> {
    const { line, lead, pace, bpm, gradeId } = asked;
    const [book, { school, grades: order }] = await Promise.all([this.moves.book(), this.gym.gym()]);
    const settings = {
      factor: PACE_FACTORS[pace ?? school.pace],
      bpm: bpm ?? null,
      audience: audienceOf(gradeId, order, school.youth),
      school,
    };
    const analysis = analyseCombo(line, book, lead);
    const cycleBeats = analysis.ok ? cycleLength(analysis.walk, lead, asked) : undefined;
    return analysisView(analysis, line, book, { ...settings, ...(cycleBeats ? { cycleBeats } : {}) });
  }

  /** Refuses a line that cannot be read, with the grammar's own faults. */
  async mustRead(line: string): Promise<void> {
    const parsed = parseLine(line, await this.moves.book());
    if (!parsed.ok) throw badLine(parsed.errors);
  }

  /** Makes or changes a combo; the same request again changes nothing. */
  async save(id: string, combo: SaveComboDto, basedOn?: number): Promise<ComboView> {
    await this.mustRead(combo.line);
    const [grade] = await this.database.select().from(grades).where(eq(grades.id, combo.gradeId));
    if (!grade) throw refuseField('gradeId', 'This grade does not exist.');
    const [clash] = await this.database
      .select()
      .from(combos)
      .where(
        and(
          eq(combos.gradeId, combo.gradeId),
          eq(combos.number, combo.number),
          ne(combos.id, id),
          eq(combos.retired, false),
        ),
      );
    if (clash) {
      const message = `${grade.name} ${combo.number} is already “${clash.title}”. Choose another number.`;
      throw refuseField('number', message, HttpStatus.CONFLICT);
    }
    if (combo.variant?.parentId === id) throw refuseField('variant', 'A combo cannot be a form of itself.');
    const followers = await this.followersOf(id);
    const write = async (tx: Transaction): Promise<void> => {
      const isNew = await writeCombo(tx, id, combo, basedOn);
      // One that was retired is offered again.
      await tx
        .update(combos)
        .set({ retired: false })
        .where(and(eq(combos.id, id), eq(combos.retired, true)));
      if (!isNew) return;
      for (const { id: followerId, combo: follower, madeOf } of followers) {
        const line = madeOf(combo.line);
        if (line !== null) await writeCombo(tx, followerId, { ...follower, line });
      }
    };
    await refusingStale(
      () => this.database.transaction(write),
      () => this.one(id),
    );
    return this.one(id);
  }

  /** Writes lines anew, each with its history; `change` gives null for one that stays. */
  async changeLines(tx: Transaction, change: (line: string) => string | null): Promise<void> {
    for (const row of await tx.select().from(combos)) {
      const line = change(row.line);
      if (line !== null) await writeCombo(tx, row.id, { ...saveable(row), line });
    }
  }

  /** The variants whose line is what their recipe makes of this combo's line as it is now. */
  private async followersOf(parentId: string): Promise<Follower[]> {
    const all = await this.rows();
    const parent = all.find((row) => row.combos.id === parentId);
    if (!parent) return [];
    const [book, { school, grades: order }] = await Promise.all([this.moves.book(), this.gym.gym()]);
    return all.flatMap(({ combos: row }): Follower[] => {
      const { variant } = row;
      if (variant?.parentId !== parentId) return [];
      const audience = audienceOf(row.gradeId, order, school.youth);
      if (!followsParent(row.line, parent.combos.line, variant, book, audience)) return [];
      return [
        { id: row.id, combo: saveable(row), madeOf: (line) => makeVariant(line, variant, book, audience) },
      ];
    });
  }

  /** Gives a grade's combos its numbers in another order. The same request again changes nothing. */
  async order({ gradeId, ids }: OrderCombosDto): Promise<void> {
    await this.database.transaction(async (tx) => {
      const own = await tx
        .select()
        .from(combos)
        .where(and(eq(combos.gradeId, gradeId), eq(combos.retired, false)))
        .orderBy(asc(combos.number));
      const isWhole = own.length === ids.length && own.every((row) => ids.includes(row.id));
      if (!isWhole)
        throw new ConflictException('The combos of this grade have changed meanwhile. Load the page again.');
      const numbers = own.map((row) => row.number);
      const moved = ids
        .map((id, i) => ({ row: own.find((row) => row.id === id)!, number: numbers[i]! }))
        .filter(({ row, number }) => row.number !== number);
      // Out of the way first, since a number may stand only once in a grade at any time.
      for (const { row } of moved)
        await tx.update(combos).set({ number: -row.number }).where(eq(combos.id, row.id));
      for (const { row, number } of moved) await writeCombo(tx, row.id, { ...saveable(row), number });
    });
  }

  /** The states in which a combo was saved, the newest first. */
  async versions(id: string): Promise<ComboVersion[]> {
    const rows = await this.database
      .select()
      .from(comboVersions)
      .where(eq(comboVersions.comboId, id))
      .orderBy(desc(comboVersions.at));
    return rows.map((row) => ({ at: row.at.toISOString(), combo: row.combo }));
  }

  /** Takes a combo out of the book; one that is used somewhere is retired instead. Forms stay, as combos of their own. */
  async remove(id: string): Promise<void> {
    const usedBy = await this.uses.ofCombo(id);
    if (usedBy.length > 0) await this.database.update(combos).set({ retired: true }).where(eq(combos.id, id));
    else await this.database.delete(combos).where(eq(combos.id, id));
  }

  /** Where a combo is used. */
  async usesOf(id: string): Promise<string[]> {
    await this.one(id);
    return this.uses.ofCombo(id);
  }
}

interface Follower {
  readonly id: string;
  readonly combo: SaveComboDto;
  /** Its line when the parent has this one. */
  madeOf(line: string): string | null;
}

/** Writes a combo and, where that changed anything, a version of it; gives whether it did. */
async function writeCombo(
  tx: Transaction,
  id: string,
  combo: SaveComboDto,
  basedOn?: number,
): Promise<boolean> {
  const [newest] = await tx
    .select({ at: comboVersions.at })
    .from(comboVersions)
    .where(eq(comboVersions.comboId, id))
    .orderBy(desc(comboVersions.at))
    .limit(1);
  // Behind the one before, though the clock was set back.
  const updatedAt = new Date(Math.max(Date.now(), (newest?.at.getTime() ?? 0) + 1));
  const isWritten = await writeVersioned(
    versionedRow(tx, combos, { key: 'id', id, row: { ...combo, updatedAt }, contentOf: saveable }),
    basedOn,
  );
  if (isWritten) await tx.insert(comboVersions).values({ comboId: id, at: updatedAt, combo });
  return isWritten;
}

function saveable({
  id: _id,
  updatedAt: _at,
  version: _version,
  retired: _retired,
  ...combo
}: typeof combos.$inferSelect): SaveComboDto {
  return combo;
}

function badLine(errors: readonly LineError[]): UnprocessableEntityException {
  return new UnprocessableEntityException({ ok: false, message: errors[0]!.message, errors });
}

function comboView({
  combos: row,
  grades: grade,
}: {
  combos: typeof combos.$inferSelect;
  grades: typeof grades.$inferSelect;
}): ComboView {
  const { retired, ...combo } = row;
  const view = { ...combo, grade: grade.name, updatedAt: row.updatedAt.toISOString() };
  return retired ? { ...view, retired } : view;
}
