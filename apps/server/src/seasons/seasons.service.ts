import { addDays, differenceInCalendarDays, format } from 'date-fns';
import { Injectable, NotFoundException } from '@nestjs/common';
import { PACE_FACTORS } from '@eurhythm/core/body';
import type { MoveBook } from '@eurhythm/core/moves';
import {
  DRAFT_MINUTES,
  comboName,
  planSeason,
  sessionPlanner,
  themeWords,
  unfitting,
  type SeasonWeek,
} from '@eurhythm/core/plan';
import { isPause } from '@eurhythm/core/rounds';
import {
  keptSeason,
  type SaveSeasonDto,
  type SeasonClassView,
  type SeasonView,
  type SeasonWeekView,
} from '@eurhythm/contract';
import { asc, eq, sql, type SQL } from 'drizzle-orm';
import type { AnyPgColumn } from 'drizzle-orm/pg-core';
import { CombosService } from '../combos/combos.service.ts';
import { DraftsService } from '../drafts/drafts.service.ts';
import { FightersService } from '../fighters/fighters.service.ts';
import { GymService } from '../gym/gym.service.ts';
import { refuseField } from '../http/refuse.ts';
import { MovesService } from '../moves/moves.service.ts';
import { dayOf } from '../progress/days.ts';
import { RequirementsService } from '../progress/requirements.service.ts';
import { combosNamed } from '../sessions/combosNamed.ts';
import type { Database } from '../store/database.ts';
import { gradingDays, runs, seasons, sessions } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { saveVersioned } from '../store/versionedWrite.ts';

type Row = typeof seasons.$inferSelect;

/** A season lasts a year at most: that is what its weeks can be looked through for. */
const MOST_WEEKS = 53;

/** Weeks of classes that lead to a grading: planned anew from what happened, and drafted class by class. */
@Injectable()
export class SeasonsService {
  constructor(
    @InjectDatabase() private readonly database: Database,
    private readonly gym: GymService,
    private readonly combos: CombosService,
    private readonly moves: MovesService,
    private readonly fighters: FightersService,
    private readonly requirements: RequirementsService,
    private readonly drafts: DraftsService,
  ) {}

  async list(now: Date): Promise<SeasonView[]> {
    const rows = await this.database.select().from(seasons).orderBy(asc(seasons.from), asc(seasons.id));
    return Promise.all(rows.map((row) => this.view(row, now)));
  }

  async one(id: string, now: Date): Promise<SeasonView> {
    return this.view(await this.row(id), now);
  }

  /** Makes or changes a season; the same request again changes nothing. */
  async save(id: string, sent: SaveSeasonDto, now: Date, basedOn?: number): Promise<SeasonView> {
    const { grades } = await this.gym.gym();
    const lost = sent.gradeIds.findIndex((gradeId) => !grades.some((grade) => grade.id === gradeId));
    if (lost !== -1) throw refuseField(`gradeIds.${lost}`, 'This grade does not exist.');
    if (differenceInCalendarDays(new Date(sent.until), new Date(sent.from)) > 7 * MOST_WEEKS)
      throw refuseField('until', 'A season lasts a year at most.');
    if (sent.gradingDayId !== null) {
      const [day] = await this.database
        .select()
        .from(gradingDays)
        .where(eq(gradingDays.id, sent.gradingDayId));
      if (!day) throw refuseField('gradingDayId', 'This grading is not planned any more.');
    }
    const row = keptSeason(JSON.parse(JSON.stringify(sent)));
    return saveVersioned(this.database, seasons, {
      ...{ key: 'id', id, row, contentOf: keptSeason, basedOn },
      now: () => this.one(id, now),
    });
  }

  /** Takes a season out; the sessions that were drafted from it stay. */
  async remove(id: string): Promise<void> {
    await this.database.delete(seasons).where(eq(seasons.id, id));
  }

  /** Drafts the classes of a week, or of all that are to come, which nobody drafted yet. What is there stays as it is. */
  async draft(id: string, week: string | undefined, now: Date): Promise<SeasonView> {
    const row = await this.row(id);
    const season = await this.view(row, now);
    const wanted = season.weeks.filter(({ from, until }) =>
      week === undefined ? until >= dayOf(now) : from === week,
    );
    if (wanted.length === 0) throw refuseField('week', 'This season has no such week.');
    const planned = await this.weeksOf(row, now);
    const towards = await this.gradeTested(row);
    for (const each of wanted) {
      const plan = planned.find(({ from }) => from === each.from)!;
      const open = each.classes.filter(({ sessionId, at }) => sessionId === null && new Date(at) >= now);
      for (const [i, { at }] of open.entries())
        await this.drafts.draftInto(sessionIdOf(id, at), {
          at,
          wish: {
            // A lighter week has shorter classes.
            minutes: Math.max(DRAFT_MINUTES.least, Math.round(plan.minutes / row.classes.length)),
            grades: row.gradeIds,
            theme: themeWords(each.theme),
            include: ofClass([...plan.introduced, ...plan.repeated], i, open.length),
            ...{ load: each.load, contact: each.contact, towards },
          },
          title: `${row.title}: ${each.theme}`,
          now,
        });
    }
    return this.one(id, now);
  }

  private async row(id: string): Promise<Row> {
    const [row] = await this.database.select().from(seasons).where(eq(seasons.id, id));
    if (!row) throw new NotFoundException('This season does not exist.');
    return row;
  }

  /** The grade that the season leads to; null where it leads to several or none. */
  private async gradeTested({ gradingDayId }: Row): Promise<string | null> {
    if (gradingDayId === null) return null;
    const [day] = await this.database.select().from(gradingDays).where(eq(gradingDays.id, gradingDayId));
    const grades = [...new Set(day?.candidates.map(({ gradeId }) => gradeId))];
    return grades.length === 1 ? grades[0]! : null;
  }

  private async weeksOf(row: Row, now: Date): Promise<SeasonWeek[]> {
    const [combos, lists, log, who, [day]] = await Promise.all([
      this.combos.list(),
      this.requirements.list(),
      this.drafts.logToDraft(now),
      this.fighters.fit(),
      this.database
        .select()
        .from(gradingDays)
        .where(eq(gradingDays.id, row.gradingDayId ?? '')),
    ]);
    const tested = new Set(day?.candidates.map(({ gradeId }) => gradeId));
    const asked = new Set(
      lists
        .filter(({ gradeId }) => tested.has(gradeId))
        .flatMap(({ requirements }) => requirements.flatMap(({ comboId }) => comboId ?? [])),
    );
    const own = combos.filter(
      ({ id, gradeId, variant }) => !variant && (row.gradeIds.includes(gradeId) || asked.has(id)),
    );
    return planSeason(
      {
        ...{ from: row.from, until: day?.day ?? row.until, isGrading: day !== undefined },
        ...{ classes: row.classes.length, minutes: row.minutes },
        edits: Object.fromEntries(row.edits.map(({ from, ...edit }) => [from, edit])),
      },
      own.map((combo) => ({ ...combo, name: comboName(combo), isAsked: asked.has(combo.id) })),
      {
        ...log,
        lastDay: (comboId) => {
          const days = log.daysAgo(comboId);
          const last = days === null ? null : dayOf(addDays(now, -days));
          // What was done before the season is new in it.
          return last !== null && last >= row.from ? last : null;
        },
      },
      who.filter(({ gradeId }) => row.gradeIds.includes(gradeId)).map(({ id }) => id),
      dayOf(now),
    );
  }

  private async view(row: Row, now: Date): Promise<SeasonView> {
    const [weeks, combos, made, book] = await Promise.all([
      this.weeksOf(row, now),
      this.combos.list({ retired: true }),
      this.classesOf(row),
      this.moves.book(),
    ]);
    const ofWeek = ({ from, until }: SeasonWeek): ClassOfSeason[] =>
      made.filter(({ at }) => {
        const day = dayOf(new Date(at));
        return day >= from && day <= until;
      });
    const named = (ids: readonly string[]): string[] =>
      ids.map((id) => comboName(combos.find((combo) => combo.id === id)));
    return {
      id: row.id,
      version: row.version,
      ...keptSeason(row),
      weeks: weeks.map((week): SeasonWeekView => ({
        ...week,
        ...{ introduced: named(week.introduced), repeated: named(week.repeated), tested: named(week.tested) },
        done: named(unique(ofWeek(week).flatMap(({ held, comboIds }) => (held ? comboIds : [])))),
        why: [week.why, ...unfittingText(row, week, combos, book)].join(' '),
        classes: ofWeek(week).map(({ comboIds: _, ...each }) => each),
      })),
    };
  }

  /** Every class of the season with the session that is drafted for it, what it asks, and whether it was held. */
  private async classesOf(row: Row): Promise<ClassOfSeason[]> {
    const times = timesOf(row);
    const [rows, held, book, combos, { school }] = await Promise.all([
      this.database.select().from(sessions).where(isOfSeason(sessions.id, row.id)),
      this.database
        .selectDistinct({ sessionId: runs.sessionId })
        .from(runs)
        .where(isOfSeason(runs.sessionId, row.id)),
      this.moves.book(),
      this.combos.list({ retired: true }),
      this.gym.gym(),
    ]);
    const plan = sessionPlanner({ book, retired: [], combos, factor: PACE_FACTORS[school.pace] });
    const facts = { groups: [], bands: ['adults' as const], floorSteps: null, kit: [] };
    const sessionOf = draftedFor(row.id, times, rows);
    return times.map((at): ClassOfSeason => {
      const session = sessionOf.get(at);
      if (!session)
        return { at, sessionId: null, title: null, held: false, workSeconds: 0, strikes: 0, comboIds: [] };
      const { strikes } = plan(session, facts);
      const work = session.rounds.flatMap(({ blocks }) => blocks).filter((block) => !isPause(block));
      return {
        ...{ at: session.plannedFor?.toISOString() ?? at, sessionId: session.id, title: session.title },
        held: held.some(({ sessionId }) => sessionId === session.id),
        workSeconds: work.reduce((sum, { seconds }) => sum + seconds, 0),
        comboIds: combosNamed(session.rounds),
        strikes: Math.round(Object.values(strikes.limbs).reduce((sum, of) => sum + of, 0)),
      };
    });
  }
}

/** A class with the combos that its session has. */
interface ClassOfSeason extends SeasonClassView {
  readonly comboIds: readonly string[];
}

const unique = (ids: readonly string[]): string[] => [...new Set(ids)];

/** What a coach wrote as the theme of a week and a draft has to leave out. */
function unfittingText(
  { edits }: Row,
  { from }: SeasonWeek,
  combos: readonly { readonly title: string; readonly focus: readonly string[] }[],
  book: MoveBook,
): string[] {
  const theme = edits.find((edit) => edit.from === from)?.theme;
  const words = theme === undefined ? [] : unfitting(themeWords(theme), combos, book);
  return words.map((word) => `Nothing in this gym fits “${word}”: drafts leave it out.`);
}

/** The instants of all classes, by the clock of the hall, in order. */
function timesOf({ from, until, classes }: Pick<Row, 'from' | 'until' | 'classes'>): string[] {
  const first = new Date(`${from}T12:00`);
  const days = differenceInCalendarDays(new Date(`${until}T12:00`), first) + 1;
  return Array.from({ length: Math.max(0, days) }, (_, i) => addDays(first, i))
    .flatMap((day) =>
      classes
        .filter(({ weekday }) => weekday === day.getDay())
        .map(({ time }) => new Date(`${format(day, 'yyyy-MM-dd')}T${time}`).toISOString()),
    )
    .sort();
}

/** The session of a class has an id that follows from it, so that nothing is drafted twice. */
const sessionIdOf = (seasonId: string, at: string): string =>
  `${seasonId.slice(0, 40)}-${at.slice(0, 16).replace(/[^\d]/g, '')}`;

const isOfSeason = (column: AnyPgColumn, seasonId: string): SQL =>
  sql`starts_with(${column}, ${sessionIdOf(seasonId, '')})`;

/** The session of each class: that of its instant, else one of its day that was drafted before its time was changed. */
function draftedFor<T extends { readonly id: string }>(
  seasonId: string,
  times: readonly string[],
  rows: readonly T[],
): ReadonlyMap<string, T> {
  const found = new Map<string, T>();
  const left = new Set(rows);
  const take = (at: string, isIts: (id: string) => boolean): void => {
    const session = found.has(at) ? undefined : [...left].find(({ id }) => isIts(id));
    if (!session) return;
    found.set(at, session);
    left.delete(session);
  };
  for (const at of times) take(at, (id) => id === sessionIdOf(seasonId, at));
  for (const at of times) take(at, (id) => id.startsWith(sessionIdOf(seasonId, at.slice(0, 10))));
  return found;
}

/** Of what a week has, what the class at this place takes: each combo in one of them at least, the first ones in two. */
function ofClass(ids: readonly string[], place: number, classes: number): string[] {
  return ids.filter((_, i) => i % classes === place || (i < 2 && classes > 1));
}
