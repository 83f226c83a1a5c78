import { STARTER_MOVES, STARTER_NUMBERS } from '@eurhythm/core/moves';
import type { Database } from '../store/openStore.ts';
import * as schema from '../store/schema.ts';
import { demoLog } from './demoLog.ts';
import { COMBOS, FIGHTERS, GRADES, GYM_NAME } from './saltmarsh.ts';
import { SESSIONS } from './saltmarshSessions.ts';
import { TECHNIQUES } from './saltmarshTechniques.ts';

const DAY = 86_400_000;

/** Fills an empty database with the starter move book and the demo gym; does nothing when a gym is there. All or nothing. */
export async function seedDemoGym(database: Database, now: Date): Promise<boolean> {
  const [gym] = await database.select().from(schema.gyms).limit(1);
  if (gym) return false;
  const log = demoLog(now);
  await database.transaction(async (tx) => {
    await tx.insert(schema.gyms).values({ id: 'gym', name: GYM_NAME });
    await tx.insert(schema.grades).values(GRADES.map((grade, position) => ({ ...grade, position })));
    await tx
      .insert(schema.moves)
      .values(STARTER_MOVES.map((move, position) => ({ code: move.code, position, move })));
    await tx.insert(schema.numbers).values([...STARTER_NUMBERS]);
    await tx.insert(schema.combos).values(COMBOS.map((combo) => ({ ...combo, updatedAt: now })));
    await tx
      .insert(schema.comboVersions)
      .values(COMBOS.map(({ id, ...combo }) => ({ comboId: id, at: now, combo })));
    await tx
      .insert(schema.techniqueLists)
      .values(Object.entries(TECHNIQUES).map(([gradeId, list]) => ({ gradeId, techniques: [...list] })));
    await tx.insert(schema.fighters).values(FIGHTERS.map(({ story: _, ...fighter }) => fighter));
    await tx.insert(schema.sessions).values(
      SESSIONS.map(({ inDays, ...session }) => ({
        ...session,
        plannedFor: classTime(now, inDays),
        updatedAt: now,
      })),
    );
    await tx.insert(schema.runs).values(log.runs);
    await tx.insert(schema.roundResults).values(log.results);
    await tx.insert(schema.attempts).values(log.attempts);
  });
  return true;
}

/** Half past six in the evening, that many days from now; today's class is tomorrow's when it is over. */
function classTime(now: Date, inDays: number): Date {
  const at = new Date(now.getTime() + inDays * DAY);
  at.setHours(18, 30, 0, 0);
  return at.getTime() < now.getTime() ? new Date(at.getTime() + DAY) : at;
}
