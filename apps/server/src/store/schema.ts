import { sql } from 'drizzle-orm';
import type { Move, NumberedMove } from '@eurhythm/core/moves';
import type { Phase } from '@eurhythm/core/rounds';
import type { CutOff } from '@eurhythm/core/sound';
import type { MemoryCard, Recall } from '@eurhythm/core/progress';
import type { EarlierCount, HeardTrial, Measured } from '@eurhythm/core/speed';
import type {
  ClassGroupDto,
  RequirementDto,
  RoundDto,
  RoundPartnersView,
  RunEventView,
  SaveComboDto,
  SaveSheetDto,
  SchoolDto,
  SheetLineDto,
  SaveTestDto,
  TechniqueDto,
  VariantDto,
} from '@eurhythm/contract';
import {
  bigserial,
  boolean,
  customType,
  doublePrecision,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  unique,
  uniqueIndex,
  uuid,
} from 'drizzle-orm/pg-core';

const at = (name: string) => timestamp(name, { withTimezone: true, mode: 'date' });
const lead = (name: string) => text(name).$type<'left' | 'right'>();
const bytes = customType<{ data: Buffer }>({ dataType: () => 'bytea' });
/** How often a thing has been changed: a change names the state that it was based on. */
const version = () => integer('version').notNull().default(1);

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
    version: version(),
  },
  (table) => [index('fighters_of_grade').on(table.gradeId)],
);

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

/** Rounds that the gym keeps to use again. */
export const libraryItems = pgTable('library_items', {
  id: text('id').primaryKey(),
  title: text('title').notNull(),
  rounds: jsonb('rounds').$type<RoundDto[]>().notNull(),
  updatedAt: at('updated_at').notNull(),
  version: version(),
});

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
    at: at('at').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.runId, table.round, table.fighterId] }),
    index('round_results_of_fighter').on(table.fighterId, table.at),
  ],
);

/** What is measured. */
export const tests = pgTable('tests', {
  id: text('id').primaryKey(),
  title: text('title').notNull(),
  kind: text('kind').$type<SaveTestDto['kind']>().notNull(),
  line: text('line'),
  seconds: doublePrecision('seconds').notNull(),
  direction: text('direction').$type<SaveTestDto['direction']>().notNull(),
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
    /** Seconds, where the test asks how long; null where nothing could be told. */
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
    lines: jsonb('lines').$type<SheetLineDto[]>().notNull(),
  },
  (table) => [index('gradings_of_fighter').on(table.fighterId, table.day)],
);

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

/** Trials that were taken out: one that is sent again stays out. */
export const removedAttempts = pgTable('removed_attempts', {
  id: text('id').primaryKey(),
  at: at('at').notNull(),
});

/** What was done to the data of people and of the whole gym; names nobody. */
export const auditLines = pgTable('audit_lines', {
  id: text('id').primaryKey(),
  at: at('at').notNull(),
  what: text('what').notNull(),
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
