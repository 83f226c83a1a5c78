/** What was measured. */
import type { EarlierCount, HeardTrial, Measured, TestSides } from '@eurhythm/core/speed';
import type { SaveTestDto } from '@eurhythm/contract';
import { doublePrecision, index, integer, jsonb, pgTable, text, uuid } from 'drizzle-orm/pg-core';
import { at, lead, bytes, version } from './columns.ts';
import { fighters } from './gym.ts';
import { runs } from './runs.ts';

/** What is measured. */
export const tests = pgTable('tests', {
  id: text('id').primaryKey(),
  title: text('title').notNull(),
  kind: text('kind').$type<SaveTestDto['kind']>().notNull(),
  line: text('line'),
  seconds: doublePrecision('seconds').notNull(),
  direction: text('direction').$type<SaveTestDto['direction']>().notNull(),
  unit: text('unit'),
  sides: text('sides').$type<TestSides>(),
  /** A change below it is of no use, in the unit of the test; null for the usual one of its kind. */
  worthwhile: doublePrecision('worthwhile'),
  version: version(),
});

/** One trial of a test by one fighter. */
export const attempts = pgTable(
  'attempts',
  {
    id: text('id').primaryKey(),
    fighterId: text('fighter_id')
      .notNull()
      .references(() => fighters.id),
    runId: text('run_id').references(() => runs.id),
    testId: text('test_id')
      .notNull()
      .references(() => tests.id),
    lead: lead('lead').notNull(),
    instants: jsonb('instants').$type<number[]>().notNull(),
    /** How many, where somebody counted and nothing was timed. */
    said: integer('said'),
    measured: text('measured').$type<Measured>().notNull().default('taps'),
    /** What it said before it was corrected. */
    history: jsonb('history').$type<EarlierCount[]>().notNull().default([]),
    /** What it was worked out from, where it was heard. */
    heard: jsonb('heard').$type<HeardTrial>(),
    /** What counts of it, so that best and median need to read none. */
    count: integer('count').notNull(),
    /** Seconds, where the test asks how long; null where nothing could be reported. */
    value: doublePrecision('value'),
    at: at('at').notNull(),
    /** What a clock said that was wrong. */
    toldAt: at('told_at'),
  },
  (table) => [
    index('attempts_of_fighter').on(table.fighterId, table.testId, table.lead, table.at),
    index('attempts_by_time').on(table.at),
  ],
);

/**
 * Another one whenever the trials, marks or lead of a fighter were written: the database itself sees to it, whoever writes. What is kept
 * of a fighter's progress is valid as long as this is the same. It is no part of a copy: what was brought back is new.
 */
export const fighterRevisions = pgTable('fighter_revisions', {
  fighterId: text('fighter_id').primaryKey(),
  revision: uuid('revision').notNull(),
});

/** The sound of a trial, where somebody said that it may be kept; it goes with its trial. */
export const recordings = pgTable('recordings', {
  attemptId: text('attempt_id')
    .primaryKey()
    .references(() => attempts.id, { onDelete: 'cascade' }),
  /** A WAV file. */
  sound: bytes('sound').notNull(),
  seconds: doublePrecision('seconds').notNull(),
  /** When its first sample was heard, by the clock of the trial. */
  from: doublePrecision('from').notNull(),
});

/** Trials that were taken out: one that is sent again stays out. */
export const removedAttempts = pgTable('removed_attempts', {
  /** Their marks: see `goneMark`. */
  id: text('id').primaryKey(),
  at: at('at').notNull(),
});
