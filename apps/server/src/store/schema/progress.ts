/** What is asked of grades and fighters, and what was shown. */
import type { MemoryCard, Recall } from '@eurhythm/core/progress';
import type { CandidateDto, RequirementDto, SheetLineDto, WithdrawGradeDto } from '@eurhythm/contract';
import { boolean, doublePrecision, index, jsonb, pgTable, primaryKey, text } from 'drizzle-orm/pg-core';
import { at, lead, version } from './columns.ts';
import { grades, fighters } from './gym.ts';
import { tests } from './trials.ts';

/** What each grade asks for. */
export const gradeRequirements = pgTable('grade_requirements', {
  gradeId: text('grade_id')
    .primaryKey()
    .references(() => grades.id, { onDelete: 'cascade' }),
  requirements: jsonb('requirements').$type<RequirementDto[]>().notNull(),
  version: version(),
});

/** What the coach saw of what a grade asks for. */
export const shownMarks = pgTable(
  'shown_marks',
  {
    fighterId: text('fighter_id')
      .notNull()
      .references(() => fighters.id),
    requirementId: text('requirement_id').notNull(),
    day: text('day').notNull(),
    by: text('by').notNull(),
  },
  (table) => [primaryKey({ columns: [table.fighterId, table.requirementId] })],
);

/** Sheets of grades that somebody signed. */
export const gradings = pgTable(
  'gradings',
  {
    id: text('id').primaryKey(),
    fighterId: text('fighter_id')
      .notNull()
      .references(() => fighters.id),
    /** Not a reference: a grade that was taken out was given all the same. */
    gradeId: text('grade_id').notNull(),
    grade: text('grade').notNull(),
    day: text('day').notNull(),
    passed: boolean('passed').notNull(),
    signedBy: text('signed_by').notNull(),
    secondExaminer: text('second_examiner').notNull().default(''),
    note: text('note').notNull(),
    /** Why it was passed although something was open. */
    reason: text('reason').notNull().default(''),
    lines: jsonb('lines').$type<SheetLineDto[]>().notNull(),
    /** Not a reference, as the grade is none; null where nobody knew. */
    previousGradeId: text('previous_grade_id'),
    withdrawn: jsonb('withdrawn').$type<WithdrawGradeDto>(),
  },
  (table) => [index('gradings_of_fighter').on(table.fighterId, table.day)],
);

/** Days on which grades are tested, with those who are to be. Nobody has a grade from it: a sheet is signed for that. */
export const gradingDays = pgTable('grading_days', {
  id: text('id').primaryKey(),
  title: text('title').notNull(),
  day: text('day').notNull(),
  candidates: jsonb('candidates').$type<CandidateDto[]>().notNull(),
  held: boolean('held').notNull().default(false),
  version: version(),
});

/** What a coach and a fighter want of a test by a day. */
export const goals = pgTable(
  'goals',
  {
    id: text('id').primaryKey(),
    fighterId: text('fighter_id')
      .notNull()
      .references(() => fighters.id),
    testId: text('test_id')
      .notNull()
      .references(() => tests.id),
    lead: lead('lead').notNull(),
    value: doublePrecision('value').notNull(),
    by: text('by').notNull(),
    setOn: text('set_on').notNull(),
    /** The day on which somebody was told that it is reached. */
    toldOn: text('told_on'),
    version: version(),
  },
  (table) => [index('goals_of_fighter').on(table.fighterId)],
);

/** How combos came when they were asked, each with what the scheduler made of it. */
export const recalls = pgTable(
  'recalls',
  {
    id: text('id').primaryKey(),
    fighterId: text('fighter_id')
      .notNull()
      .references(() => fighters.id),
    /** Not a reference: a combo that was taken out was asked all the same. */
    comboId: text('combo_id').notNull(),
    recall: text('recall').$type<Recall>().notNull(),
    runId: text('run_id'),
    at: at('at').notNull(),
    card: jsonb('card').$type<MemoryCard>().notNull(),
  },
  (table) => [index('recalls_of_fighter').on(table.fighterId, table.comboId, table.at)],
);
