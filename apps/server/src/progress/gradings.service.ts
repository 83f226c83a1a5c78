import {
  ConflictException,
  Injectable,
  NotFoundException,
  UnprocessableEntityException,
} from '@nestjs/common';
import { gradeBelow, openInSheet } from '@eurhythm/core/progress';
import type { FighterView, GradingView, SignGradeDto, WithdrawGradeDto } from '@eurhythm/contract';
import { desc, eq } from 'drizzle-orm';
import { addHours } from 'date-fns';
import { isDeepStrictEqual } from 'node:util';
import { FightersService } from '../fighters/fighters.service.ts';
import { GymService } from '../gym/gym.service.ts';
import { refuseField } from '../http/refuse.ts';
import type { Database } from '../store/database.ts';
import { fighters, gradings } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { dayOf } from './days.ts';
import { GradeChecksService } from './gradeChecks.service.ts';

type Row = typeof gradings.$inferSelect;

/** Sheets of grades that a coach signed, and with them the history of everybody's grades. */
@Injectable()
export class GradingsService {
  constructor(
    @InjectDatabase() private readonly database: Database,
    private readonly fighters: FightersService,
    private readonly gym: GymService,
    private readonly checks: GradeChecksService,
  ) {}

  /** Of one fighter, newest first. */
  async of(fighterId: string): Promise<GradingView[]> {
    const rows = await this.database
      .select()
      .from(gradings)
      .where(eq(gradings.fighterId, fighterId))
      .orderBy(desc(gradings.day), desc(gradings.id));
    return rows.map(gradingView);
  }

  /**
   * Keeps a signed sheet; who passed has the grade from then on. What is open has to be signed with a reason. The same again changes
   * nothing. @throws 409 for another sheet under the same id: what is signed stays as it was.
   */
  async sign(id: string, sheet: SignGradeDto): Promise<GradingView> {
    const { grades } = await this.gym.gym();
    // No clock on earth is further ahead: a day that has begun nowhere is still to come.
    if (sheet.day > dayOf(addHours(new Date(), FURTHEST_AHEAD)))
      throw refuseField('day', 'This day is still to come: plan a grading for it, and sign on the day.');
    const grade = grades.find((each) => each.id === sheet.gradeId);
    if (!grade) throw refuseField('gradeId', 'This grade does not exist.');
    const [fighter] = await this.fighters.some([sheet.fighterId]);
    if (!fighter) throw new UnprocessableEntityException('This fighter is not in the gym.');
    const { secondExaminer = '', reason = '' } = sheet;
    const signed = { id, ...sheet, secondExaminer, reason, grade: grade.name };
    const [before] = await this.database.select().from(gradings).where(eq(gradings.id, id));
    if (!before) await this.mustBeWhole(sheet, fighter);
    await this.database.transaction(async (tx) => {
      const [kept] = await tx.select().from(gradings).where(eq(gradings.id, id)).for('update');
      if (kept) {
        const { previousGradeId: _, withdrawn: __, ...asSigned } = kept;
        if (isDeepStrictEqual(plain(asSigned), plain(signed))) return;
        throw new ConflictException('This sheet is signed already, and stays as it was. Sign a new one.');
      }
      const lines = sheet.lines.map((line) => ({ ...line }));
      await tx.insert(gradings).values({ ...signed, lines, previousGradeId: fighter.gradeId });
      if (sheet.passed) await this.fighters.promote(tx, sheet.fighterId, sheet.gradeId);
    });
    return (await this.of(sheet.fighterId)).find((each) => each.id === id)!;
  }

  /** A grade that was passed is taken back, and with it goes the grade itself; who did so, when and why stays in the history. */
  async withdraw(id: string, { by, day, reason }: WithdrawGradeDto): Promise<GradingView> {
    const { grades } = await this.gym.gym();
    const fighterId = await this.database.transaction(async (tx) => {
      const [sheet] = await tx.select().from(gradings).where(eq(gradings.id, id)).for('update');
      if (!sheet) throw new NotFoundException('There is no such sheet.');
      if (!sheet.passed)
        throw new ConflictException('This sheet gave no grade, so there is none to take back.');
      const withdrawn = { by, day, reason };
      if (sheet.withdrawn !== null) {
        if (isDeepStrictEqual(plain(sheet.withdrawn), withdrawn)) return sheet.fighterId;
        throw new ConflictException('This grade was taken back already.');
      }
      await tx.update(gradings).set({ withdrawn }).where(eq(gradings.id, id));
      const [fighter] = await tx.select().from(fighters).where(eq(fighters.id, sheet.fighterId));
      // Who has another grade by now keeps it.
      // Sheets of earlier releases do not say which grade was before; then it is the one below.
      const previous = sheet.previousGradeId ?? gradeBelow(grades, sheet.gradeId)?.id ?? null;
      if (fighter?.gradeId === sheet.gradeId && previous !== null)
        await this.fighters.promote(tx, sheet.fighterId, previous);
      return sheet.fighterId;
    });
    return (await this.of(fighterId)).find((each) => each.id === id)!;
  }

  /** @throws 422 at the reason where something is open and nobody says why it is passed all the same */
  private async mustBeWhole(
    { passed, gradeId, lines, secondExaminer = '', reason = '' }: SignGradeDto,
    fighter: FighterView,
  ): Promise<void> {
    if (!passed || reason.trim() !== '') return;
    const [check] = await this.checks.of([fighter], new Date());
    const unmet = check?.gradeId === gradeId ? check.lines.filter(({ isMet }) => !isMet) : [];
    const open = openInSheet(
      { lines, secondExaminer },
      unmet.map(({ asked }) => asked),
    );
    if (open.length > 0)
      throw refuseField('reason', `${open.join(' ')} Say why you pass it anyway; the reason is kept.`);
  }
}

/** Hours by which the earliest place is ahead of universal time. */
const FURTHEST_AHEAD = 14;

const plain = (value: object): unknown => JSON.parse(JSON.stringify(value));

function gradingView({ previousGradeId: _, withdrawn, ...row }: Row): GradingView {
  return { ...row, withdrawn: withdrawn ?? null };
}
