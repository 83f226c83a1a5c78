import { Injectable } from '@nestjs/common';
import {
  valueText,
  gradeAbove,
  gradeCheck,
  type GradeWords,
  type Requirement,
} from '@eurhythm/core/progress';
import { comboName } from '@eurhythm/core/plan';
import { requirementOf, type FighterView, type GradeCheckView, type MarkShownDto } from '@eurhythm/contract';
import { and, eq } from 'drizzle-orm';
import { CombosService } from '../combos/combos.service.ts';
import { FightersService } from '../fighters/fighters.service.ts';
import { GymService } from '../gym/gym.service.ts';
import type { Database } from '../store/database.ts';
import { shownMarks } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { AssessmentsService } from '../assessments/assessments.service.ts';
import { dayOf } from './days.ts';
import { GradeFactsService } from './gradeFacts.service.ts';
import { RequirementsService } from './requirements.service.ts';

/** The check lists of grades, filled from the log. */
@Injectable()
export class GradeChecksService {
  constructor(
    @InjectDatabase() private readonly database: Database,
    private readonly facts: GradeFactsService,
    private readonly requirements: RequirementsService,
    private readonly gym: GymService,
    private readonly combos: CombosService,
    private readonly tests: AssessmentsService,
    private readonly fighters: FightersService,
  ) {}

  /** The list of each of some for the grade that comes next in their band; nothing for the highest, and where it asks for nothing. */
  async of(fighters: readonly FighterView[], now: Date): Promise<GradeCheckView[]> {
    const [{ grades }, lists] = await Promise.all([this.gym.gym(), this.requirements.list()]);
    const asked = new Map(
      lists.map(({ gradeId, requirements }) => [gradeId, requirements.map(requirementOf)]),
    );
    const wanted = fighters.flatMap((fighter) => {
      const grade = gradeAbove(grades, fighter.gradeId);
      const requirements = (grade && asked.get(grade.id)) ?? [];
      return grade && requirements.length > 0 ? [{ fighter, grade, requirements }] : [];
    });
    const all: Requirement[] = wanted.flatMap(({ requirements }) => requirements);
    const facts = await this.facts.of(
      wanted.map(({ fighter }) => fighter.id),
      all,
      now,
    );
    const words = await this.words();
    return wanted.map(({ fighter, grade, requirements }) => {
      const lines = gradeCheck(requirements, facts.get(fighter.id)!, words, dayOf(now));
      const met = lines.filter(({ isMet }) => isMet).length;
      return { fighterId: fighter.id, name: fighter.name, gradeId: grade.id, grade: grade.name, lines, met };
    });
  }

  /** Says that something was seen, or takes it back; the same again changes nothing. */
  async mark(fighterId: string, requirementId: string, { isShown, day, by }: MarkShownDto): Promise<void> {
    await this.fighters.one(fighterId);
    if (isShown)
      await this.database
        .insert(shownMarks)
        .values({ fighterId, requirementId, day, by })
        .onConflictDoUpdate({ target: [shownMarks.fighterId, shownMarks.requirementId], set: { day, by } });
    else
      await this.database
        .delete(shownMarks)
        .where(and(eq(shownMarks.fighterId, fighterId), eq(shownMarks.requirementId, requirementId)));
  }

  private async words(): Promise<GradeWords> {
    const [combos, tests] = await Promise.all([this.combos.list({ retired: true }), this.tests.list()]);
    const comboOf = new Map(combos.map((combo) => [combo.id, combo]));
    const testOf = new Map(tests.map((test) => [test.id, test]));
    return {
      combo: (id) => comboName(comboOf.get(id)),
      test: (id) => testOf.get(id)?.title ?? 'a test that is gone',
      value: (id, value) => valueText(testOf.get(id)?.kind ?? 'burst', testOf.get(id)?.unit)(value),
    };
  }
}
