/** The gym, its grades and who trains there. */
import type { CareDto, SchoolDto, TechniqueDto } from '@eurhythm/contract';
import { boolean, doublePrecision, index, integer, jsonb, pgTable, text } from 'drizzle-orm/pg-core';
import { at, lead, version } from './columns.ts';

/** The one gym of this installation. */
export const gyms = pgTable('gyms', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  noticeAcceptedAt: at('notice_accepted_at'),
  /** Null until somebody changes the starter settings. */
  school: jsonb('school').$type<SchoolDto>(),
  version: version(),
  /** Of the list of grades and of the number map, which are each saved as a whole. */
  gradesVersion: integer('grades_version').notNull().default(1),
  numbersVersion: integer('numbers_version').notNull().default(1),
});

export const grades = pgTable('grades', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  position: integer('position').notNull(),
  band: text('band').$type<'children' | 'adults'>().notNull(),
});

/** What a grade trains, in order. */
export const techniqueLists = pgTable('technique_lists', {
  gradeId: text('grade_id')
    .primaryKey()
    .references(() => grades.id, { onDelete: 'cascade' }),
  techniques: jsonb('techniques').$type<TechniqueDto[]>().notNull(),
  version: version(),
});

export const fighters = pgTable(
  'fighters',
  {
    id: text('id').primaryKey(),
    name: text('name').notNull(),
    gradeId: text('grade_id')
      .notNull()
      .references(() => grades.id),
    lead: lead('lead').notNull(),
    note: text('note').notNull(),
    fit: boolean('fit').notNull(),
    /** Why somebody may not train, and who said so; empty for one who may. */
    fitReason: text('fit_reason').notNull().default(''),
    fitBy: text('fit_by').notNull().default(''),
    fitAt: at('fit_at'),
    /** In centimetres. */
    height: doublePrecision('height'),
    apart: jsonb('apart').$type<string[]>().notNull().default([]),
    /** What the class looks out for; null where nothing has to be. */
    care: jsonb('care').$type<CareDto>(),
    version: version(),
  },
  (table) => [index('fighters_of_grade').on(table.gradeId)],
);
