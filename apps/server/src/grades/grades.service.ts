import { ConflictException, Injectable } from '@nestjs/common';
import type { GradeDto, GymView, SaveGradesDto } from '@eurhythm/contract';
import { asc, eq, notInArray } from 'drizzle-orm';
import { GymService } from '../gym/gym.service.ts';
import type { Database, Transaction } from '../store/database.ts';
import { grades } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { refusingStale, writeVersioned } from '../store/versionedWrite.ts';
import { UsesService } from '../uses/uses.service.ts';

/** The gym's grades and their order. */
@Injectable()
export class GradesService {
  constructor(
    @InjectDatabase() private readonly database: Database,
    private readonly gym: GymService,
    private readonly uses: UsesService,
  ) {}

  /** Sets all grades in this order; one that is still used anywhere cannot be left out. All or nothing. */
  async save({ grades: wanted }: SaveGradesDto, basedOn?: number): Promise<GymView> {
    const write = (tx: Transaction) =>
      writeVersioned(
        {
          sent: wanted.map(plainGrade),
          insert: async () => false,
          read: async () => ({
            version: await this.gym.lockGradesVersion(tx),
            content: (await tx.select().from(grades).orderBy(asc(grades.position))).map(plainGrade),
          }),
          update: async (version) => {
            await this.setAll(tx, wanted);
            await this.gym.setGradesVersion(tx, version);
          },
        },
        basedOn,
      );
    await refusingStale(
      () => this.database.transaction(write),
      async () => {
        const { grades: order, gradesVersion } = await this.gym.gym();
        return { grades: order, version: gradesVersion };
      },
    );
    return this.gym.gym();
  }

  private async setAll(tx: Transaction, wanted: readonly GradeDto[]): Promise<void> {
    const gone = await tx
      .select()
      .from(grades)
      .where(
        notInArray(
          grades.id,
          wanted.map(({ id }) => id),
        ),
      )
      .orderBy(asc(grades.position));
    for (const { id, name } of gone) {
      const { has, namedIn } = await this.uses.ofGrade(id, tx);
      const uses = [
        ...(has.length > 0 ? [`still has ${inWords(has)}`] : []),
        ...(namedIn.length > 0 ? [`is named in ${inWords(namedIn)}`] : []),
      ];
      if (uses.length > 0)
        throw new ConflictException({
          message: `${name} ${uses.join(', and ')}. Move them to another grade first, then take it out.`,
        });
      await tx.delete(grades).where(eq(grades.id, id));
    }
    for (const [position, { id, name, band }] of wanted.entries())
      await tx
        .insert(grades)
        .values({ id, name, band, position })
        .onConflictDoUpdate({ target: grades.id, set: { name, band, position } });
  }
}

function plainGrade({ id, name, band }: GradeDto): GradeDto {
  return { id, name, band };
}

/** "3 combos, 3 fighters and 9 moves" */
function inWords(parts: readonly string[]): string {
  return new Intl.ListFormat('en-GB').format(parts);
}
