import { Injectable } from '@nestjs/common';
import { attendedByWeek, type AttendedWeek } from '@eurhythm/core/progress';
import { and, gte, inArray, max, min, sql } from 'drizzle-orm';
import type { Database } from '../store/database.ts';
import { roundResults } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { dayOf, weeksBefore } from './days.ts';

/** Who came lately is reported about so many weeks. */
const LATELY_WEEKS = 4;
const LOOK_BACK_WEEKS = 26;

/** When somebody was in a class. */
export interface Attendance {
  /** Classes of the last four weeks, and of the last half year. */
  readonly lately: number;
  readonly classes: number;
  /** The day of the last one. */
  readonly last: string;
}

/** Who came, from the marks of the rounds. */
@Injectable()
export class AttendanceService {
  constructor(@InjectDatabase() private readonly database: Database) {}

  /** How many of some came, week by week over half a year. */
  async byWeek(fighterIds: readonly string[], now: Date): Promise<AttendedWeek[]> {
    if (fighterIds.length === 0) return [];
    const classes = await this.database
      .select({
        people: sql<number>`count(distinct ${roundResults.fighterId})`.mapWith(Number),
        at: min(roundResults.at),
      })
      .from(roundResults)
      .where(cameIn(fighterIds, now))
      .groupBy(roundResults.runId);
    return attendedByWeek(
      classes.map(({ people, at }) => ({ people, day: dayOf(at!) })),
      dayOf(now),
    );
  }

  /** Of some; who never came in half a year is not in it. */
  async of(fighterIds: readonly string[], now: Date): Promise<ReadonlyMap<string, Attendance>> {
    if (fighterIds.length === 0) return new Map();
    const lately = weeksBefore(now, LATELY_WEEKS).toISOString();
    const rows = await this.database
      .select({
        fighterId: roundResults.fighterId,
        classes: sql<number>`count(distinct ${roundResults.runId})`.mapWith(Number),
        lately:
          sql<number>`count(distinct ${roundResults.runId}) filter (where ${roundResults.at} >= ${lately}::timestamptz)`.mapWith(
            Number,
          ),
        last: max(roundResults.at),
      })
      .from(roundResults)
      .where(cameIn(fighterIds, now))
      .groupBy(roundResults.fighterId);
    return new Map(
      rows.map(({ fighterId, last, ...counts }) => [fighterId, { ...counts, last: dayOf(last!) }]),
    );
  }
}

const cameIn = (fighterIds: readonly string[], now: Date) =>
  and(
    inArray(roundResults.fighterId, [...fighterIds]),
    gte(roundResults.at, weeksBefore(now, LOOK_BACK_WEEKS)),
    inArray(roundResults.done, ['finished', 'part']),
  );
