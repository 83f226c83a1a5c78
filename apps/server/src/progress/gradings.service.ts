import { ConflictException, Injectable, UnprocessableEntityException } from '@nestjs/common';
import type { GradingView, SignGradeDto } from '@eurhythm/contract';
import { desc, eq } from 'drizzle-orm';
import { isDeepStrictEqual } from 'node:util';
import { FightersService } from '../fighters/fighters.service.ts';
import { GymService } from '../gym/gym.service.ts';
import { refuseField } from '../http/refuse.ts';
import type { Database } from '../store/database.ts';
import { gradings } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';

/** Sheets of grades that a coach signed, and with them the history of everybody's grades. */
@Injectable()
export class GradingsService {
  constructor(
    @InjectDatabase() private readonly database: Database,
    private readonly fighters: FightersService,
    private readonly gym: GymService,
  ) {}

  /** Of one fighter, newest first. */
  of(fighterId: string): Promise<GradingView[]> {
    return this.database
      .select()
      .from(gradings)
      .where(eq(gradings.fighterId, fighterId))
      .orderBy(desc(gradings.day), desc(gradings.id));
  }

  /**
   * Keeps a signed sheet; who passed has the grade from then on. The same again changes nothing. @throws 409 for another sheet under
   * the same id: what is signed stays as it was.
   */
  async sign(id: string, sheet: SignGradeDto): Promise<GradingView> {
    const { grades } = await this.gym.gym();
    const grade = grades.find((each) => each.id === sheet.gradeId);
    if (!grade) throw refuseField('gradeId', 'This grade does not exist.');
    const [fighter] = await this.fighters.some([sheet.fighterId]);
    if (!fighter) throw new UnprocessableEntityException('This fighter is not in the gym.');
    const row = { id, ...sheet, secondExaminer: sheet.secondExaminer ?? '', grade: grade.name };
    await this.database.transaction(async (tx) => {
      const [before] = await tx.select().from(gradings).where(eq(gradings.id, id)).for('update');
      if (before) {
        if (isDeepStrictEqual(JSON.parse(JSON.stringify(before)), JSON.parse(JSON.stringify(row)))) return;
        throw new ConflictException('This sheet is signed already, and stays as it was. Sign a new one.');
      }
      await tx.insert(gradings).values({ ...row, lines: sheet.lines.map((line) => ({ ...line })) });
      if (sheet.passed) await this.fighters.promote(tx, sheet.fighterId, sheet.gradeId);
    });
    return (await this.of(sheet.fighterId)).find((each) => each.id === id)!;
  }
}
