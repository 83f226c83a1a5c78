/** What was held. */
import type { Phase } from '@eurhythm/core/rounds';
import type { RoundDto, RoundPartnersView, RunEventView } from '@eurhythm/contract';
import {
  doublePrecision,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  unique,
} from 'drizzle-orm/pg-core';
import { at, lead } from './columns.ts';
import { fighters } from './gym.ts';
import { sessions } from './sessions.ts';

/** One session actually held, with the rounds as they were when it began. */
export const runs = pgTable(
  'runs',
  {
    id: text('id').primaryKey(),
    sessionId: text('session_id')
      .notNull()
      .references(() => sessions.id),
    title: text('title').notNull(),
    lead: lead('lead').notNull(),
    rounds: jsonb('rounds').$type<RoundDto[]>().notNull(),
    word: text('word').notNull().default(''),
    fighterIds: jsonb('fighter_ids').$type<string[]>().notNull(),
    /** The group that each fighter was in, by the id of the fighter. */
    groupOf: jsonb('group_of').$type<Record<string, string>>().notNull().default({}),
    /** Marks of people whose data was erased, counted: totals of a class stay without the person. */
    gone: jsonb('gone').$type<Readonly<Record<string, number>>>().notNull().default({}),
    /** Who works with whom, by round. */
    partners: jsonb('partners').$type<RoundPartnersView[]>().notNull().default([]),
    startedAt: at('started_at').notNull(),
    endedAt: at('ended_at'),
    /** How hard the class was as a whole, 1 to 10, and what the coach noted; null until somebody says. */
    effort: integer('effort'),
    note: text('note'),
  },
  (table) => [index('runs_by_start').on(table.startedAt), index('runs_of_session').on(table.sessionId)],
);

/** Everything that was done to a run, in the order in which the server took it. */
export const runEvents = pgTable(
  'run_events',
  {
    runId: text('run_id')
      .notNull()
      .references(() => runs.id, { onDelete: 'cascade' }),
    sequence: integer('sequence').notNull(),
    /** Made by the device, so that an event that is sent again is taken once. */
    id: text('id').notNull(),
    kind: text('kind').$type<RunEventView['kind']>().notNull(),
    /** When it was done, when the clock of the device said that it was, if that was wrong, and when the server took it. */
    at: at('at').notNull(),
    toldAt: at('told_at'),
    receivedAt: at('received_at').notNull(),
    data: jsonb('data').$type<Readonly<Record<string, unknown>>>().notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.runId, table.sequence] }),
    unique('run_event_once').on(table.runId, table.id),
  ],
);

/** The rounds of a run as its log names them. */
export const runRounds = pgTable(
  'run_rounds',
  {
    runId: text('run_id')
      .notNull()
      .references(() => runs.id, { onDelete: 'cascade' }),
    round: integer('round').notNull(),
    title: text('title').notNull(),
    kind: text('kind').$type<Phase>().notNull(),
    bpm: doublePrecision('bpm'),
  },
  (table) => [primaryKey({ columns: [table.runId, table.round] })],
);

/** Which combos were trained in which round, and by which group; the empty name is everybody without combos of its own. */
export const runRoundCombos = pgTable(
  'run_round_combos',
  {
    runId: text('run_id')
      .notNull()
      .references(() => runs.id, { onDelete: 'cascade' }),
    round: integer('round').notNull(),
    place: integer('place').notNull(),
    /** Place of the block in its round. */
    block: integer('block').notNull(),
    groupName: text('group_name').notNull(),
    /** Not a reference: a combo that was taken out was trained all the same. */
    comboId: text('combo_id').notNull(),
    /** The tempo of its block; null in what was written before it was kept. */
    bpm: doublePrecision('bpm'),
  },
  (table) => [
    primaryKey({ columns: [table.runId, table.round, table.place] }),
    index('rounds_of_combo').on(table.comboId),
  ],
);

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
    /** Null for a mark that was taken back, at `at`: an older press that comes late does not bring it back. */
    done: text('done').$type<'finished' | 'part' | 'sat-out'>(),
    quality: text('quality').$type<'clean' | 'loose' | 'wild'>(),
    /** Of a part: how far, in seconds from the start of the round. */
    seconds: doublePrecision('seconds'),
    /** From which lead, where it was another than planned. */
    lead: lead('lead'),
    /** The combo that its quality is about, where a round has several; null for all of them. Not a reference. */
    comboId: text('combo_id'),
    at: at('at').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.runId, table.round, table.fighterId] }),
    index('round_results_of_fighter').on(table.fighterId, table.at),
  ],
);

/** What fighters say was done at home, by its code. Its bursts are trials. */
export const homeReports = pgTable(
  'home_reports',
  {
    id: text('id').primaryKey(),
    fighterId: text('fighter_id')
      .notNull()
      .references(() => fighters.id),
    /** Of a session that may be gone. */
    sessionId: text('session_id'),
    title: text('title').notNull(),
    at: at('at').notNull(),
    finished: integer('finished').notNull(),
    rounds: integer('rounds').notNull(),
    effort: integer('effort'),
  },
  (table) => [index('home_reports_of_fighter').on(table.fighterId, table.at)],
);
