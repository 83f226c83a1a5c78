import { ConflictException, Injectable } from '@nestjs/common';
import type { GymView, SaveGradesDto } from '@eurhythm/contract';
import { asc, count, eq, notInArray, sql } from 'drizzle-orm';
import { GymService } from '../gym/gym.service.ts';
import type { Database } from '../store/openStore.ts';
import { combos, fighters, grades, moves } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';

/** The gym's grades and their order. */
@Injectable()
export class GradesService {
  constructor(
    @InjectDatabase() private readonly database: Database,
    private readonly gym: GymService,
  ) {}

  /** Sets all grades in this order; one that combos or fighters still belong to cannot be left out. All or nothing. */
  async save({ grades: wanted }: SaveGradesDto): Promise<GymView> {
    const kept = wanted.map((grade) => grade.id);
    await this.database.transaction(async (tx) => {
      const gone = await tx
        .select()
        .from(grades)
        .where(notInArray(grades.id, kept))
        .orderBy(asc(grades.position));
      for (const grade of gone) {
        const [[ofCombos], [ofFighters], [ofMoves]] = await Promise.all([
          tx.select({ n: count() }).from(combos).where(eq(combos.gradeId, grade.id)),
          tx.select({ n: count() }).from(fighters).where(eq(fighters.gradeId, grade.id)),
          tx
            .select({ n: count() })
            .from(moves)
            .where(sql`${moves.move}->>'minGrade' = ${grade.id}`),
        ]);
        const users = [
          told(ofCombos?.n ?? 0, 'combo'),
          told(ofFighters?.n ?? 0, 'fighter'),
          told(ofMoves?.n ?? 0, 'move'),
        ].filter(Boolean);
        if (users.length > 0) {
          throw new ConflictException({
            message: `${grade.name} still has ${inWords(users)}. Move them to another grade first, then take it out.`,
          });
        }
        await tx.delete(grades).where(eq(grades.id, grade.id));
      }
      for (const [position, grade] of wanted.entries()) {
        const row = { name: grade.name, band: grade.band, position };
        await tx
          .insert(grades)
          .values({ id: grade.id, ...row })
          .onConflictDoUpdate({ target: grades.id, set: row });
      }
    });
    return this.gym.gym();
  }
}

function told(n: number, what: string): string {
  return n === 0 ? '' : `${n} ${what}${n === 1 ? '' : 's'}`;
}

/** "3 combos, 3 fighters and 9 moves" */
function inWords(parts: readonly string[]): string {
  return new Intl.ListFormat('en-GB').format(parts);
}
