import { STARTER_NUMBERS, starterMovesFor } from '@eurhythm/core/moves';
import type { Database } from '../store/database.ts';
import * as schema from '../store/schema.ts';

/** What a gym is called until it has a name. */
export const EMPTY_GYM_NAME = 'Your gym';
/** A gym has at least one grade; this one until the coach names others. */
export const EMPTY_GYM_GRADE = { id: 'everybody', name: 'Everybody', band: 'adults' } as const;

/** Fills an empty database with the starter move book and nothing else; all or nothing. */
export async function beginEmptyGym(database: Database): Promise<void> {
  await database.transaction(async (tx) => {
    await tx.insert(schema.gyms).values({ id: 'gym', name: EMPTY_GYM_NAME });
    await tx.insert(schema.grades).values({ ...EMPTY_GYM_GRADE, position: 0 });
    await tx
      .insert(schema.moves)
      .values(starterMovesFor([]).map((move, position) => ({ code: move.code, position, move })));
    await tx.insert(schema.numbers).values([...STARTER_NUMBERS]);
  });
}
