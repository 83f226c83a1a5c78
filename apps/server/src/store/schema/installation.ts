/** What is about this installation. */
import type { CutOff } from '@eurhythm/core/sound';
import { bigserial, doublePrecision, pgTable, text } from 'drizzle-orm/pg-core';
import { at, bytes } from './columns.ts';
import { runs } from './runs.ts';

/** What was done to the data of people and of the whole gym; names nobody. */
export const auditLines = pgTable('audit_lines', {
  id: text('id').primaryKey(),
  at: at('at').notNull(),
  what: text('what').notNull(),
});

/** Whose data was erased, by their marks: they are forgotten again where a copy from before is brought back. */
export const erasedPeople = pgTable('erased_people', {
  mark: text('mark').primaryKey(),
  at: at('at').notNull(),
});

/**
 * What Today asked, on which day it did so first, and whether somebody answered: the same is not asked again within a week. It is no data
 * of the gym: a copy in a file does not have it.
 */
export const askedQuestions = pgTable('asked_questions', {
  key: text('key').primaryKey(),
  /** What it said; another sentence is another question. */
  sentence: text('sentence').notNull(),
  day: text('day').notNull(),
  answeredAt: at('answered_at'),
});

/** Calls as the gym recorded them: trimmed and levelled, in base64 so that any export carries them as text. */
export const ownCalls = pgTable('own_calls', {
  text: text('text').primaryKey(),
  wav: text('wav').notNull(),
  seconds: doublePrecision('seconds').notNull(),
  /** From the start to the instant that belongs on the beat. */
  centre: doublePrecision('centre').notNull(),
  /** How far the voice stands over the room, in decibels; null where no room is heard. */
  overRoom: doublePrecision('over_room'),
  /** Where the recording begins or ends within the call. */
  cutOff: text('cut_off').$type<CutOff>(),
  updatedAt: at('updated_at').notNull(),
});

/** The passphrase of the gym's door, and what its keys are signed with. It stays where it was set: no copy in a file has it. */
export const doors = pgTable('doors', {
  id: text('id').primaryKey(),
  /** By scrypt, with its salt and its costs. */
  passphrase: text('passphrase').notNull(),
  secret: text('secret').notNull(),
  setAt: at('set_at').notNull(),
});

/** The codes with which devices join a run; they go with its end. */
export const hallCodes = pgTable('hall_codes', {
  code: text('code').primaryKey(),
  runId: text('run_id')
    .notNull()
    .unique()
    .references(() => runs.id, { onDelete: 'cascade' }),
});

/** What devices on different servers say to one another, where it is too long for the database's own messages. */
export const hallMessages = pgTable('hall_messages', {
  id: bigserial('id', { mode: 'number' }).primaryKey(),
  createdAt: at('created_at').defaultNow(),
  payload: bytes('payload'),
});
