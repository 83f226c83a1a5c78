import { Injectable, NotFoundException } from '@nestjs/common';
import { requirementOf, type RequirementsView, type SaveRequirementsDto } from '@eurhythm/contract';
import { eq } from 'drizzle-orm';
import { CombosService } from '../combos/combos.service.ts';
import { GymService } from '../gym/gym.service.ts';
import { refuseField } from '../http/refuse.ts';
import type { Database } from '../store/database.ts';
import { gradeRequirements } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { saveVersioned } from '../store/versionedWrite.ts';
import { AssessmentsService } from '../assessments/assessments.service.ts';

/** What each grade asks for. */
@Injectable()
export class RequirementsService {
  constructor(
    @InjectDatabase() private readonly database: Database,
    private readonly gym: GymService,
    private readonly combos: CombosService,
    private readonly tests: AssessmentsService,
  ) {}

  list(): Promise<RequirementsView[]> {
    return this.database.select().from(gradeRequirements);
  }

  /** Sets all that a grade asks for; the same request again changes nothing. */
  async save(gradeId: string, sent: SaveRequirementsDto, basedOn?: number): Promise<RequirementsView> {
    const { grades } = await this.gym.gym();
    if (!grades.some(({ id }) => id === gradeId)) throw new NotFoundException('This grade does not exist.');
    await this.refuseUnknown(sent);
    // Fields that belong to other kinds are left behind.
    const requirements = sent.requirements.map((one) => JSON.parse(JSON.stringify(requirementOf(one))));
    return saveVersioned(this.database, gradeRequirements, {
      key: 'gradeId',
      id: gradeId,
      row: { requirements },
      contentOf: (kept) => ({ requirements: kept.requirements }),
      basedOn,
      now: () => this.one(gradeId),
    });
  }

  private async refuseUnknown({ requirements }: SaveRequirementsDto): Promise<void> {
    const combos = await this.combos.some(requirements.flatMap(({ comboId }) => comboId ?? []));
    const tests = new Set((await this.tests.list()).map(({ id }) => id));
    for (const [i, one] of requirements.entries()) {
      if (one.kind === 'combo' && !combos.has(one.comboId!))
        throw refuseField(`requirements.${i}.comboId`, 'This combo is not in the book.');
      if (one.kind === 'test' && !tests.has(one.testId!))
        throw refuseField(`requirements.${i}.testId`, 'This test does not exist.');
    }
  }

  private async one(gradeId: string): Promise<RequirementsView> {
    const [row] = await this.database
      .select()
      .from(gradeRequirements)
      .where(eq(gradeRequirements.gradeId, gradeId));
    return row ?? { gradeId, requirements: [], version: 1 };
  }
}
