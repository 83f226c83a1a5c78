/** Moves, their numbers, and combos. */
import { sql } from 'drizzle-orm';
import type { Move, NumberedMove } from '@eurhythm/core/moves';
import type { SaveComboDto, VariantDto } from '@eurhythm/contract';
import {
  boolean,
  doublePrecision,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  uniqueIndex,
} from 'drizzle-orm/pg-core';
import { at, version } from './columns.ts';
import { grades } from './gym.ts';

export const moves = pgTable('moves', {
  code: text('code').primaryKey(),
  position: integer('position').notNull(),
  move: jsonb('move').$type<Move>().notNull(),
  /** A move that is still used somewhere is retired instead of taken out. */
  retired: boolean('retired').notNull().default(false),
  version: version(),
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
    version: version(),
    /** A combo that is still used somewhere is retired instead of taken out: readable, not offered. */
    retired: boolean('retired').notNull().default(false),
  },
  (table) => [
    uniqueIndex('combo_number_in_grade')
      .on(table.gradeId, table.number)
      .where(sql`not retired`),
  ],
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
