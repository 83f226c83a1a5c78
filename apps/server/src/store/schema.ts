import type { Move, NumberedMove } from '@eurhythm/core/moves';
import type {
  ClassGroupDto,
  RoundDto,
  RunClockDto,
  SaveComboDto,
  SaveSheetDto,
  SchoolDto,
  TechniqueDto,
  VariantDto,
} from '@eurhythm/contract';
import {
  boolean,
  doublePrecision,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  unique,
} from 'drizzle-orm/pg-core';

const at = (name: string) => timestamp(name, { withTimezone: true, mode: 'date' });
const lead = (name: string) => text(name).$type<'left' | 'right'>();

/** The one gym of this installation. */
export const gyms = pgTable('gyms', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  noticeAcceptedAt: at('notice_accepted_at'),
  /** Null until somebody changes the starter settings. */
  school: jsonb('school').$type<SchoolDto>(),
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
});

export const moves = pgTable('moves', {
  code: text('code').primaryKey(),
  position: integer('position').notNull(),
  move: jsonb('move').$type<Move>().notNull(),
  /** A move that is still used somewhere is retired instead of taken out. */
  retired: boolean('retired').notNull().default(false),
});

export const numbers = pgTable('numbers', {
  number: integer('number').primaryKey(),
  code: text('code')
    .notNull()
    .references(() => moves.code),
  side: text('side').$type<NumberedMove['side']>(),
});

export const combos = pgTable(
  'combos',
  {
    id: text('id').primaryKey(),
    gradeId: text('grade_id')
      .notNull()
      .references(() => grades.id),
    number: integer('number').notNull(),
    title: text('title').notNull(),
    line: text('line').notNull(),
    bpm: doublePrecision('bpm').notNull(),
    beatsPerBar: integer('beats_per_bar').notNull(),
    notes: text('notes').notNull(),
    bothLeads: boolean('both_leads').notNull(),
    focus: jsonb('focus').$type<string[]>().notNull().default([]),
    cycleBeats: doublePrecision('cycle_beats'),
    contact: jsonb('contact').$type<number[]>().notNull().default([]),
    variant: jsonb('variant').$type<VariantDto>(),
    updatedAt: at('updated_at').notNull(),
  },
  (table) => [unique('combo_number_in_grade').on(table.gradeId, table.number)],
);

/** Every state in which a combo was saved, the newest being the present one. */
export const comboVersions = pgTable(
  'combo_versions',
  {
    comboId: text('combo_id').notNull(),
    at: at('at').notNull(),
    combo: jsonb('combo').$type<SaveComboDto>().notNull(),
  },
  (table) => [primaryKey({ columns: [table.comboId, table.at] })],
);

export const fighters = pgTable('fighters', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  gradeId: text('grade_id')
    .notNull()
    .references(() => grades.id),
  lead: lead('lead').notNull(),
  note: text('note').notNull(),
  fit: boolean('fit').notNull(),
  /** In centimetres. */
  height: doublePrecision('height'),
  apart: jsonb('apart').$type<string[]>().notNull().default([]),
});

export const sessions = pgTable('sessions', {
  id: text('id').primaryKey(),
  title: text('title').notNull(),
  lead: lead('lead').notNull(),
  plannedFor: at('planned_for'),
  word: text('word').notNull().default(''),
  groups: jsonb('groups').$type<ClassGroupDto[]>().notNull().default([]),
  rounds: jsonb('rounds').$type<RoundDto[]>().notNull(),
  updatedAt: at('updated_at').notNull(),
});

/** Who came to a planned session, and how they are put together. */
export const classSheets = pgTable('class_sheets', {
  sessionId: text('session_id')
    .primaryKey()
    .references(() => sessions.id, { onDelete: 'cascade' }),
  sheet: jsonb('sheet').$type<SaveSheetDto>().notNull(),
});

/** What the classes of some days are about; both days belong to it, and are written like 2026-03-05. */
export const themes = pgTable('themes', {
  id: text('id').primaryKey(),
  title: text('title').notNull(),
  from: text('from').notNull(),
  until: text('until').notNull(),
});

/** Rounds that the gym keeps to use again. */
export const libraryItems = pgTable('library_items', {
  id: text('id').primaryKey(),
  title: text('title').notNull(),
  rounds: jsonb('rounds').$type<RoundDto[]>().notNull(),
  updatedAt: at('updated_at').notNull(),
});

/** One session actually held, with the rounds as they were when it began. */
export const runs = pgTable('runs', {
  id: text('id').primaryKey(),
  sessionId: text('session_id')
    .notNull()
    .references(() => sessions.id),
  title: text('title').notNull(),
  lead: lead('lead').notNull(),
  rounds: jsonb('rounds').$type<RoundDto[]>().notNull(),
  word: text('word').notNull().default(''),
  fighterIds: jsonb('fighter_ids').$type<string[]>().notNull(),
  startedAt: at('started_at').notNull(),
  endedAt: at('ended_at'),
  clock: jsonb('clock').$type<RunClockDto>(),
});

/** What one fighter did of one round of a run. */
export const roundResults = pgTable(
  'round_results',
  {
    id: text('id').notNull(),
    runId: text('run_id')
      .notNull()
      .references(() => runs.id),
    round: integer('round').notNull(),
    fighterId: text('fighter_id')
      .notNull()
      .references(() => fighters.id),
    done: text('done').$type<'finished' | 'part' | 'sat-out'>().notNull(),
    quality: text('quality').$type<'clean' | 'loose' | 'wild'>(),
    at: at('at').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.runId, table.round, table.fighterId] }),
    index('round_results_of_fighter').on(table.fighterId),
  ],
);

/** A timed attempt of one fighter, for now always a burst. */
export const attempts = pgTable(
  'attempts',
  {
    id: text('id').primaryKey(),
    fighterId: text('fighter_id')
      .notNull()
      .references(() => fighters.id),
    runId: text('run_id').references(() => runs.id),
    title: text('title').notNull(),
    lead: lead('lead').notNull(),
    seconds: doublePrecision('seconds').notNull(),
    instants: jsonb('instants').$type<number[]>().notNull(),
    at: at('at').notNull(),
  },
  (table) => [index('attempts_of_fighter').on(table.fighterId)],
);

/** Calls as the gym recorded them: trimmed and levelled, in base64 so that any export carries them as text. */
export const ownCalls = pgTable('own_calls', {
  text: text('text').primaryKey(),
  wav: text('wav').notNull(),
  seconds: doublePrecision('seconds').notNull(),
  /** From the start to the instant that belongs on the beat. */
  centre: doublePrecision('centre').notNull(),
  updatedAt: at('updated_at').notNull(),
});
