import {
  ConflictException,
  Injectable,
  NotFoundException,
  UnprocessableEntityException,
} from '@nestjs/common';
import { PACE_FACTORS, analyseCombo } from '@eurhythm/core/body';
import { parseLine, type LineError } from '@eurhythm/core/line';
import {
  audienceOf,
  type AnalyseComboDto,
  type AnalysisView,
  type ComboVersion,
  type ComboView,
  type SaveComboDto,
} from '@eurhythm/contract';
import { isDeepStrictEqual } from 'node:util';
import { and, asc, desc, eq, inArray, ne } from 'drizzle-orm';
import { GymService } from '../gym/gym.service.ts';
import { MovesService } from '../moves/moves.service.ts';
import type { Database } from '../store/openStore.ts';
import { comboVersions, combos, grades } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { analysisView } from './analysisView.ts';

@Injectable()
export class CombosService {
  constructor(
    @InjectDatabase() private readonly database: Database,
    private readonly moves: MovesService,
    private readonly gym: GymService,
  ) {}

  async list(): Promise<ComboView[]> {
    const rows = await this.rows();
    return rows.map(comboView);
  }

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

  async analyse({ line, lead, pace, bpm, gradeId }: AnalyseComboDto): Promise<AnalysisView> {
    const [book, { school, grades: order }] = await Promise.all([this.moves.book(), this.gym.gym()]);
    const settings = {
      factor: PACE_FACTORS[pace ?? school.pace],
      bpm: bpm ?? null,
      audience: audienceOf(gradeId, order, school),
      school,
    };
    return analysisView(analyseCombo(line, book, lead), line, book, settings);
  }

  /** Refuses a line that cannot be read, with the grammar's own faults. */
  async mustRead(line: string): Promise<void> {
    const parsed = parseLine(line, await this.moves.book());
    if (!parsed.ok) throw badLine(parsed.errors);
  }

  /** Makes or changes a combo; the same request again changes nothing. */
  async save(id: string, combo: SaveComboDto): Promise<ComboView> {
    await this.mustRead(combo.line);
    const [grade] = await this.database.select().from(grades).where(eq(grades.id, combo.gradeId));
    if (!grade)
      throw new UnprocessableEntityException({
        message: 'This grade does not exist.',
        errors: [{ field: 'gradeId', message: 'This grade does not exist.' }],
      });
    const [clash] = await this.database
      .select()
      .from(combos)
      .where(and(eq(combos.gradeId, combo.gradeId), eq(combos.number, combo.number), ne(combos.id, id)));
    if (clash) {
      const message = `${grade.name} ${combo.number} is already “${clash.title}”. Choose another number.`;
      throw new ConflictException({ message, errors: [{ field: 'number', message }] });
    }
    const row = { ...combo, updatedAt: new Date() };
    await this.database.transaction(async (tx) => {
      await tx
        .insert(combos)
        .values({ id, ...row })
        .onConflictDoUpdate({ target: combos.id, set: row });
      const [newest] = await tx
        .select()
        .from(comboVersions)
        .where(eq(comboVersions.comboId, id))
        .orderBy(desc(comboVersions.at))
        .limit(1);
      if (!newest || !isDeepStrictEqual({ ...newest.combo }, { ...combo })) {
        await tx.insert(comboVersions).values({ comboId: id, at: row.updatedAt, combo });
      }
    });
    return this.one(id);
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

  async remove(id: string): Promise<void> {
    await this.database.delete(combos).where(eq(combos.id, id));
  }
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
  return { ...row, grade: grade.name, updatedAt: row.updatedAt.toISOString() };
}
