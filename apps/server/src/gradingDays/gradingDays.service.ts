import { differenceInCalendarDays } from 'date-fns';
import { Injectable, NotFoundException } from '@nestjs/common';
import { classesUntil } from '@eurhythm/core/progress';
import type { CandidateDto, CandidateView, GradingDayView, SaveGradingDayDto } from '@eurhythm/contract';
import { and, asc, eq, gt, inArray, lt } from 'drizzle-orm';
import { FightersService } from '../fighters/fighters.service.ts';
import { GymService } from '../gym/gym.service.ts';
import { refuseField } from '../http/refuse.ts';
import { AttendanceService } from '../progress/attendance.service.ts';
import { dayOf } from '../progress/days.ts';
import { GradeChecksService } from '../progress/gradeChecks.service.ts';
import type { Database } from '../store/database.ts';
import { gradingDays, gradings, sessions } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { saveVersioned } from '../store/versionedWrite.ts';

type Row = typeof gradingDays.$inferSelect;

/** Days on which grades are tested: who is to be, what each still lacks, and how many classes are left until then. */
@Injectable()
export class GradingDaysService {
  constructor(
    @InjectDatabase() private readonly database: Database,
    private readonly fighters: FightersService,
    private readonly gym: GymService,
    private readonly checks: GradeChecksService,
    private readonly attendance: AttendanceService,
  ) {}

  async list(now: Date): Promise<GradingDayView[]> {
    const rows = await this.database
      .select()
      .from(gradingDays)
      .orderBy(asc(gradingDays.day), asc(gradingDays.id));
    return this.views(rows, now);
  }

  /** Plans a day or changes it; nobody's grade does. The same request again changes nothing. */
  async save(id: string, sent: SaveGradingDayDto, now: Date, basedOn?: number): Promise<GradingDayView> {
    const { title, day, held } = sent;
    const candidates = sent.candidates.map(({ fighterId, gradeId }) => ({ fighterId, gradeId }));
    await this.mustBeKnown(candidates);
    if (held && day > dayOf(now))
      throw refuseField('held', 'This day is still to come: the grading was not held yet.');
    return saveVersioned(this.database, gradingDays, {
      key: 'id',
      id,
      row: { title, day, held, candidates },
      contentOf: ({ title: kept, day: on, held: was, candidates: those }) => ({
        ...{ title: kept, day: on, held: was, candidates: those },
      }),
      basedOn,
      now: async () => (await this.one(id, now))!,
    });
  }

  async remove(id: string): Promise<void> {
    await this.database.delete(gradingDays).where(eq(gradingDays.id, id));
  }

  /** The grades that are tested from a day on, with those who are to be. */
  async toCome(now: Date): Promise<CandidateDto[]> {
    const rows = await this.database
      .select()
      .from(gradingDays)
      .where(
        and(gt(gradingDays.day, dayOf(new Date(now.getTime() - 86_400_000))), eq(gradingDays.held, false)),
      );
    return rows.flatMap(({ candidates }) => candidates);
  }

  private async one(id: string, now: Date): Promise<GradingDayView> {
    const [row] = await this.database.select().from(gradingDays).where(eq(gradingDays.id, id));
    if (!row) throw new NotFoundException('This grading is not planned any more.');
    return (await this.views([row], now))[0]!;
  }

  private async mustBeKnown(candidates: readonly CandidateDto[]): Promise<void> {
    const [{ grades }, known] = await Promise.all([
      this.gym.gym(),
      this.fighters.some(candidates.map(({ fighterId }) => fighterId)),
    ]);
    for (const [i, { fighterId, gradeId }] of candidates.entries()) {
      if (!known.some(({ id }) => id === fighterId))
        throw refuseField(`candidates.${i}.fighterId`, 'This fighter is not in the gym.');
      if (!grades.some(({ id }) => id === gradeId))
        throw refuseField(`candidates.${i}.gradeId`, 'This grade does not exist.');
    }
  }

  private async views(rows: readonly Row[], now: Date): Promise<GradingDayView[]> {
    const ids = [...new Set(rows.flatMap(({ candidates }) => candidates.map(({ fighterId }) => fighterId)))];
    if (ids.length === 0) return rows.map((row) => ({ ...row, candidates: [] }));
    const who = await this.fighters.some(ids);
    const [{ grades }, checks, attendance, signed, planned] = await Promise.all([
      this.gym.gym(),
      this.checks.of(who, now),
      this.attendance.of(ids, now),
      this.database.select().from(gradings).where(inArray(gradings.fighterId, ids)),
      this.plannedUntil(
        rows.map(({ day }) => day).reduce((a, b) => (a > b ? a : b)),
        now,
      ),
    ]);
    const view = ({ day }: Row, { fighterId, gradeId }: CandidateDto): CandidateView => {
      const fighter = who.find(({ id }) => id === fighterId);
      const sheet = signed
        .filter(
          (each) =>
            each.fighterId === fighterId && each.gradeId === gradeId && each.day >= day && !each.withdrawn,
        )
        .at(-1);
      const check = checks.find((each) => each.fighterId === fighterId && each.gradeId === gradeId);
      const days = differenceInCalendarDays(new Date(`${day}T12:00`), now);
      return {
        ...{ fighterId, gradeId },
        name: fighter?.name ?? 'somebody who is gone',
        grade: grades.find(({ id }) => id === gradeId)?.name ?? gradeId,
        lacks: sheet ? [] : (check?.lines ?? []).flatMap(({ isMet, asked }) => (isMet ? [] : [asked])),
        classesPlanned: planned.filter(
          ({ on, gradeIds }) =>
            on < day && (gradeIds.length === 0 || gradeIds.includes(fighter?.gradeId ?? '')),
        ).length,
        classesUsual: classesUntil(attendance.get(fighterId)?.lately ?? 0, days),
        passed: sheet?.passed ?? null,
      };
    };
    return rows.map((row) => ({ ...row, candidates: row.candidates.map((each) => view(row, each)) }));
  }

  /** The classes of the calendar from now on, with the grades that they are for; empty for everybody. */
  private async plannedUntil(day: string, now: Date): Promise<{ on: string; gradeIds: string[] }[]> {
    const rows = await this.database
      .select({ plannedFor: sessions.plannedFor, groups: sessions.groups })
      .from(sessions)
      .where(and(gt(sessions.plannedFor, now), lt(sessions.plannedFor, new Date(`${day}T23:59:59`))));
    return rows.map(({ plannedFor, groups }) => ({
      on: dayOf(plannedFor!),
      gradeIds: groups.flatMap(({ gradeIds }) => gradeIds),
    }));
  }
}
