import { Injectable } from '@nestjs/common';
import {
  attendedByWeek,
  hasTrained,
  tally,
  type AttendedClass,
  type AttendedWeek,
} from '@eurhythm/core/progress';
import { groupBy } from '@eurhythm/core/units';
import type { FighterView, RegisterView } from '@eurhythm/contract';
import { addMonths } from 'date-fns';
import { and, asc, gte, eq, inArray, isNotNull, lt, sql } from 'drizzle-orm';
import type { Database } from '../store/database.ts';
import { roundResults, runs } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { dayOf, daySql, firstDayOf, weeksBefore } from './days.ts';

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

export type ClassesByFighter = ReadonlyMap<string, readonly AttendedClass[]>;

/** Who came, from the marks of the rounds; every count of classes and rounds rests on it. */
@Injectable()
export class AttendanceService {
  constructor(@InjectDatabase() private readonly database: Database) {}

  /** The classes of some with how their rounds were done, the oldest first; of all time, or of those that began since an instant. */
  async classesOf(fighterIds: readonly string[], since?: Date): Promise<ClassesByFighter> {
    if (fighterIds.length === 0) return new Map();
    const done = (how: 'finished' | 'part' | 'sat-out') =>
      sql<number>`count(*) filter (where ${roundResults.done} = ${how})`.mapWith(Number);
    const rows = await this.database
      .select({
        fighterId: roundResults.fighterId,
        runId: runs.id,
        day: daySql(runs.startedAt),
        finished: done('finished'),
        part: done('part'),
        satOut: done('sat-out'),
      })
      .from(roundResults)
      .innerJoin(runs, eq(roundResults.runId, runs.id))
      .where(
        and(
          inArray(roundResults.fighterId, [...fighterIds]),
          isNotNull(roundResults.done),
          since && gte(runs.startedAt, since),
        ),
      )
      .groupBy(roundResults.fighterId, runs.id)
      .orderBy(asc(runs.startedAt), asc(runs.id));
    return groupBy(
      rows.map(({ fighterId, ...attended }) => ({ fighterId, ...attended })),
      ({ fighterId }) => fighterId,
    );
  }

  /** Who of some was in which class of a month, like 2026-03: who was in the run is there, also before a bell has rung. */
  async register(month: string, people: readonly FighterView[]): Promise<RegisterView> {
    const from = new Date(`${month}-01T00:00:00`);
    const held = await this.database
      .select({ runId: runs.id, title: runs.title, day: daySql(runs.startedAt), fighterIds: runs.fighterIds })
      .from(runs)
      .where(and(gte(runs.startedAt, from), lt(runs.startedAt, addMonths(from, 1))))
      .orderBy(asc(runs.startedAt), asc(runs.id));
    const ids = people.map(({ id }) => id);
    const attended = await this.classesOf(ids, from);
    const trainedIn = new Map(
      ids.map((id) => [id, new Set((attended.get(id) ?? []).filter(hasTrained).map(({ runId }) => runId))]),
    );
    const wasIn = new Map(ids.map((id) => [id, new Set((attended.get(id) ?? []).map(({ runId }) => runId))]));
    const classes = held.map(({ runId, title, day }) => ({
      ...{ runId, title, day },
      trained: ids.filter((id) => trainedIn.get(id)!.has(runId)).length,
    }));
    const rows = people.map(({ id, name, grade }) => {
      const came = held.map(({ runId, fighterIds }) =>
        trainedIn.get(id)!.has(runId)
          ? 'trained'
          : wasIn.get(id)!.has(runId) || fighterIds.includes(id)
            ? 'was there'
            : '',
      );
      return { fighterId: id, name, grade, came, trained: came.filter((each) => each === 'trained').length };
    });
    return { month, classes, rows };
  }

  /** How many of some came, week by week over half a year. */
  async byWeek(fighterIds: readonly string[], now: Date): Promise<AttendedWeek[]> {
    const attended = [
      ...(await this.classesOf(fighterIds, weeksBefore(now, LOOK_BACK_WEEKS))).values(),
    ].flat();
    const classes = [...groupBy(attended.filter(hasTrained), ({ runId }) => runId).values()];
    return attendedByWeek(
      classes.map((those) => ({ day: those[0]!.day, people: those.length })),
      dayOf(now),
    );
  }

  /** Of some; who never came in half a year is not in it. */
  async of(fighterIds: readonly string[], now: Date): Promise<ReadonlyMap<string, Attendance>> {
    const found = await this.classesOf(fighterIds, weeksBefore(now, LOOK_BACK_WEEKS));
    const to = dayOf(now);
    const lately = { from: firstDayOf(now, LATELY_WEEKS), to };
    const halfYear = { from: firstDayOf(now, LOOK_BACK_WEEKS), to };
    return new Map(
      [...found].flatMap(([id, classes]): [string, Attendance][] => {
        const all = tally(classes, halfYear);
        return all.last === null
          ? []
          : [[id, { lately: tally(classes, lately).classes, classes: all.classes, last: all.last }]];
      }),
    );
  }
}
