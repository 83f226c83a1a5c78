/** What is planned. */
import type { ClassGroupDto, ClassTimeDto, RoundDto, SaveSheetDto, WeekEditDto } from '@eurhythm/contract';
import { doublePrecision, index, integer, jsonb, pgTable, text } from 'drizzle-orm/pg-core';
import { at, lead, version } from './columns.ts';

export const sessions = pgTable(
  'sessions',
  {
    id: text('id').primaryKey(),
    title: text('title').notNull(),
    lead: lead('lead').notNull(),
    plannedFor: at('planned_for'),
    word: text('word').notNull().default(''),
    groups: jsonb('groups').$type<ClassGroupDto[]>().notNull().default([]),
    rounds: jsonb('rounds').$type<RoundDto[]>().notNull(),
    /** Rounds as often as they are held, and their time, so that a list needs to read no round. */
    heldRounds: integer('held_rounds').notNull().default(0),
    seconds: doublePrecision('seconds').notNull().default(0),
    updatedAt: at('updated_at').notNull(),
    version: version(),
  },
  (table) => [index('sessions_by_date').on(table.plannedFor)],
);

/** Who came to a planned session, and how they are put together. */
export const classSheets = pgTable('class_sheets', {
  sessionId: text('session_id')
    .primaryKey()
    .references(() => sessions.id, { onDelete: 'cascade' }),
  sheet: jsonb('sheet').$type<SaveSheetDto>().notNull(),
  version: version(),
});

/** What the classes of some days are about; both days belong to it, and are written like 2026-03-05. */
export const themes = pgTable('themes', {
  id: text('id').primaryKey(),
  title: text('title').notNull(),
  from: text('from').notNull(),
  until: text('until').notNull(),
  version: version(),
});

/** Weeks of classes that lead to a grading, or to a day. The weeks themselves are planned anew whenever they are looked at. */
export const seasons = pgTable('seasons', {
  id: text('id').primaryKey(),
  title: text('title').notNull(),
  from: text('from').notNull(),
  until: text('until').notNull(),
  gradingDayId: text('grading_day_id'),
  gradeIds: jsonb('grade_ids').$type<string[]>().notNull(),
  classes: jsonb('classes').$type<ClassTimeDto[]>().notNull(),
  minutes: doublePrecision('minutes').notNull(),
  edits: jsonb('edits').$type<WeekEditDto[]>().notNull(),
  version: version(),
});

/** Rounds that the gym keeps to use again. */
export const libraryItems = pgTable('library_items', {
  id: text('id').primaryKey(),
  title: text('title').notNull(),
  rounds: jsonb('rounds').$type<RoundDto[]>().notNull(),
  updatedAt: at('updated_at').notNull(),
  version: version(),
});
