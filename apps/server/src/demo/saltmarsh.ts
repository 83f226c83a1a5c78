/** The made-up demo gym: its grades, people, combos and sessions. Its log is generated (demoLog.ts). */
import type {
  AnyBlockDto,
  SaveComboDto,
  SaveFighterDto,
  SaveSessionDto,
  TechniqueDto,
} from '@eurhythm/contract';
import type { FighterProfile } from '@eurhythm/core/strikes';

export const GYM_NAME = 'Saltmarsh Striking Hall';

export const GRADES = [
  { id: 'minnows', name: 'Minnows', band: 'children' },
  { id: 'herons', name: 'Herons', band: 'children' },
  { id: 'ebb', name: 'Ebb', band: 'adults' },
  { id: 'slack', name: 'Slack', band: 'adults' },
  { id: 'flood', name: 'Flood', band: 'adults' },
  { id: 'spring', name: 'Spring', band: 'adults' },
] as const;

/** How somebody changes over the eight weeks, for the generated log. */
export interface Story extends FighterProfile {
  /** Change of the rate in a week, as a share. */
  readonly weekly: number;
  /** Week from which nothing changes any more. */
  readonly plateauFrom?: number;
  /** Weeks without training. */
  readonly away?: readonly number[];
  /** How much slower the other lead is, as a share. */
  readonly otherLeadSlower: number;
  /** Share of the classes attended. */
  readonly attends: number;
}

export interface DemoFighter extends SaveFighterDto {
  readonly id: string;
  readonly story: Story;
}

const fighter = (
  id: string,
  name: string,
  gradeId: string,
  lead: 'left' | 'right',
  story: Partial<Story> & Pick<Story, 'rate'>,
  note = '',
  fit = true,
): DemoFighter => ({
  id,
  name,
  gradeId,
  lead,
  note,
  fit,
  story: { spread: 0.12, fading: 0.18, weekly: 0.01, otherLeadSlower: 0.07, attends: 0.8, ...story },
});

export const FIGHTERS: readonly DemoFighter[] = [
  fighter('lumi', 'Lumi Achterberg', 'minnows', 'left', { rate: 1.9, spread: 0.22, weekly: 0.02 }),
  fighter('oskar', 'Oskar Bello', 'herons', 'left', { rate: 2.6, spread: 0.18, weekly: 0.015 }),
  fighter('yara', 'Yara Pelkonen', 'herons', 'right', {
    rate: 2.5,
    spread: 0.18,
    weekly: 0.012,
    attends: 0.6,
  }),
  fighter('sanne', 'Sanne Ibarra', 'ebb', 'left', { rate: 2.9, weekly: 0.022 }),
  fighter('emeka', 'Emeka Roux', 'ebb', 'left', { rate: 3.1, weekly: 0.012, attends: 0.55 }),
  fighter(
    'dario',
    'Dario Halloran',
    'ebb',
    'right',
    { rate: 2.8, weekly: 0.008 },
    'Returning after a long break: start light, ask before each round.',
  ),
  fighter('mbali', 'Mbali Serrano', 'slack', 'left', { rate: 3.4, weekly: 0.015, plateauFrom: 4 }),
  fighter('tomasz', 'Tomasz Brandt', 'slack', 'left', { rate: 3.3, weekly: 0.004, otherLeadSlower: 0.24 }),
  fighter('nuria', 'Nuria Castellan', 'slack', 'right', { rate: 3.5, weekly: 0.01 }),
  fighter('radek', 'Radek Ilić', 'flood', 'left', { rate: 3.8, weekly: 0.009 }),
  fighter('leilani', 'Leilani Duarte', 'flood', 'right', { rate: 3.7, weekly: 0.018, away: [2, 3] }),
  fighter(
    'joost',
    'Joost Amari',
    'flood',
    'left',
    { rate: 3.6, weekly: 0.002 },
    'Wrist strap on the right: no full power.',
  ),
  fighter('ines', 'Ines Okafor', 'spring', 'left', {
    rate: 4.2,
    weekly: 0.006,
    otherLeadSlower: 0.03,
    attends: 0.95,
  }),
  fighter('suda', 'Suda Lindqvist', 'spring', 'right', { rate: 4.0, weekly: 0.005 }),
];

export interface DemoCombo extends SaveComboDto {
  readonly id: string;
}

const combo = (
  id: string,
  gradeId: string,
  number: number,
  title: string,
  line: string,
  bpm: number,
  notes = '',
  more: Partial<SaveComboDto> = {},
): DemoCombo => ({
  id,
  gradeId,
  number,
  title,
  line,
  bpm,
  beatsPerBar: 4,
  notes,
  bothLeads: true,
  focus: [],
  cycleBeats: null,
  contact: [],
  variant: null,
  ...more,
});

export const COMBOS: readonly DemoCombo[] = [
  combo(
    'ebb-1',
    'ebb',
    1,
    'First knock',
    '1 2',
    80,
    'Eyes over the knuckles. The rear heel turns out on the second.',
    { focus: ['rear heel', 'chin down'] },
  ),
  combo('ebb-2', 'ebb', 2, 'Round the post', '1 2 3', 80, 'The hook comes round the post, not through it.'),
  combo('ebb-3', 'ebb', 3, 'Push away', '7 . 2', 72, 'Let the foot come down before the hand goes.'),
  combo('slack-1', 'slack', 1, 'Slide and kick', '1 2 skip-f:round', 84),
  combo('slack-2', 'slack', 2, 'Knee behind', '3 2-r:knee', 84, 'The knee rides on the turn of the cross.'),
  combo('slack-3', 'slack', 3, 'Weave and answer', '1 weave 3-2', 88),
  combo('flood-3', 'flood', 3, 'Two steps up', '1-1 2@b 3-r:round@l', 92),
  combo(
    'flood-4',
    'flood',
    4,
    'Low gate, knee through',
    '1-1 2> 3@b r:round@l*:3/2 2 . r:knee!',
    84,
    'Low kick with the hip all the way over. Wait for the foot, then the cross. Shout on the knee.',
    { focus: ['hip over', 'wait for the foot'], contact: [0, 10, 25, 40] },
  ),
  combo(
    'flood-5',
    'flood',
    5,
    'One leg, two doors',
    "f:round@b'-^f:hookkick@h",
    76,
    'The foot does not touch the floor in between.',
  ),
  combo(
    'flood-6',
    'flood',
    6,
    'Change at the door',
    '1-2 sw f:round@l-2',
    88,
    'The switch is small: both feet, one sound.',
  ),
  combo(
    'flood-7',
    'flood',
    7,
    'Low gate, even',
    '1 1 2> 3@b r:round@l* 2 r:knee!',
    72,
    'The slow form: every stroke on a whole beat.',
    { focus: ['hip over'], variant: { parentId: 'flood-4', kind: 'even', step: null } },
  ),
  combo('spring-1', 'spring', 1, 'Turn of the tide', '7 . r:round@b . 1-2', 80),
  combo(
    'spring-2',
    'spring',
    2,
    'Broken step',
    '1 sw-f:round@l:3/2 2 , 3@b!',
    84,
    'Two quick, a wait, then the hook to the body.',
  ),
];

const technique = (
  id: string,
  what: { move: string } | { comboId: string },
  reps: number,
  sets: number,
  sides: TechniqueDto['sides'] = 'both',
): TechniqueDto => ({ move: null, comboId: null, ...what, id, reps, sides, sets, restSeconds: 20 });

/** What each grade trains: "15 each leg, 3 times" and the like. */
export const TECHNIQUES: Readonly<Record<string, readonly TechniqueDto[]>> = {
  minnows: [
    technique('min-1', { move: 'jab' }, 10, 2),
    technique('min-2', { move: 'push' }, 10, 2),
    technique('min-3', { move: 'duck' }, 10, 1, 'one'),
  ],
  herons: [
    technique('her-1', { move: 'cross' }, 15, 2),
    technique('her-2', { move: 'r:round' }, 12, 2),
    technique('her-3', { move: 'parry' }, 15, 1),
  ],
  ebb: [
    technique('ebb-t1', { move: 'r:round' }, 15, 3),
    technique('ebb-t2', { move: 'push' }, 15, 2),
    technique('ebb-t3', { comboId: 'ebb-1' }, 30, 1),
    technique('ebb-t4', { comboId: 'ebb-2' }, 10, 2),
  ],
  slack: [
    technique('sla-1', { move: 'r:knee' }, 20, 2),
    technique('sla-2', { move: 'hook' }, 30, 1),
    technique('sla-3', { comboId: 'slack-2' }, 10, 3),
    technique('sla-4', { comboId: 'slack-3' }, 10, 2),
  ],
  flood: [
    technique('flo-1', { move: 'r:round' }, 30, 2),
    technique('flo-2', { move: 'hookkick' }, 10, 2),
    technique('flo-3', { comboId: 'flood-4' }, 8, 3),
  ],
  spring: [
    technique('spr-1', { move: 'spinhook' }, 10, 2),
    technique('spr-2', { comboId: 'spring-2' }, 8, 3),
  ],
};

const PROMPTS = [
  'Hands high',
  'Move your head',
  'Circle out',
  'Change lead',
  'Jab to move',
  'Set up the low kick',
];

const pads = (
  id: string,
  comboIds: string[],
  seconds: number,
  bpm: number,
  rest: number,
  extra: Partial<Extract<AnyBlockDto, { kind: 'combo' }>> = {},
): AnyBlockDto[] => [
  {
    kind: 'combo',
    id: `${id}-work`,
    seconds,
    combos: comboIds.map((comboId) => ({ comboId })),
    bpm,
    calls: 'on-beat',
    words: 'numbers',
    leadPlan: 'halves',
    cyclesEach: 4,
    ...extra,
  },
  { kind: 'rest', id: `${id}-rest`, seconds: rest },
];

const shadow = (id: string, seconds: number, rest: number): AnyBlockDto[] => [
  {
    kind: 'free',
    id: `${id}-work`,
    seconds,
    prompts: PROMPTS,
    every: { min: 8, max: 14 },
    leadPlan: 'halves',
  },
  { kind: 'rest', id: `${id}-rest`, seconds: rest },
];

/** A session and how many days from today it is planned. */
export interface DemoSession extends Omit<SaveSessionDto, 'plannedFor'> {
  readonly id: string;
  readonly inDays: number;
}

export const SESSIONS: readonly DemoSession[] = [
  {
    id: 'knees-behind-the-cross',
    title: 'Knees behind the cross',
    lead: 'left',
    inDays: 0,
    rounds: [
      { id: 'kbc-1', title: 'Shadow, loosen up', kind: 'shadow', blocks: shadow('kbc-1', 120, 30) },
      { id: 'kbc-2', title: 'Slack two', kind: 'pads', blocks: pads('kbc-2', ['slack-2'], 120, 84, 40) },
      {
        id: 'kbc-3',
        title: 'Slack two and three',
        kind: 'pads',
        blocks: pads('kbc-3', ['slack-2', 'slack-3'], 180, 88, 40),
      },
      {
        id: 'kbc-4',
        title: 'Flood four',
        kind: 'pads',
        blocks: pads('kbc-4', ['flood-4'], 180, 84, 40, { calls: 'ahead' }),
      },
      { id: 'kbc-5', title: 'Flood six', kind: 'pads', blocks: pads('kbc-5', ['flood-6'], 120, 84, 60) },
    ],
  },
  {
    id: 'first-steps',
    title: 'First steps, both leads',
    lead: 'left',
    inDays: 2,
    rounds: [
      {
        id: 'fs-1',
        title: 'Ebb one',
        kind: 'pads',
        blocks: pads('fs-1', ['ebb-1'], 90, 72, 40, { words: 'names' }),
      },
      {
        id: 'fs-2',
        title: 'Ebb two',
        kind: 'pads',
        blocks: pads('fs-2', ['ebb-1', 'ebb-2'], 120, 76, 40, { words: 'names' }),
      },
      { id: 'fs-3', title: 'Push away', kind: 'pads', blocks: pads('fs-3', ['ebb-3'], 90, 72, 40) },
      { id: 'fs-4', title: 'Shadow', kind: 'shadow', blocks: shadow('fs-4', 90, 30) },
    ],
  },
  {
    id: 'shadow-and-rhythm',
    title: 'Shadow and broken rhythm',
    lead: 'right',
    inDays: 4,
    rounds: [
      { id: 'sr-1', title: 'Shadow', kind: 'shadow', blocks: shadow('sr-1', 180, 40) },
      {
        id: 'sr-2',
        title: 'Spring two',
        kind: 'pads',
        blocks: pads('sr-2', ['spring-2'], 150, 80, 40, { calls: 'lead-in' }),
      },
      { id: 'sr-3', title: 'Shadow, your own', kind: 'shadow', blocks: shadow('sr-3', 180, 30) },
    ],
  },
];

/** Bursts that the gym tests, and how fast they are beside the fighter's own rate. */
export const TESTS = [
  { title: 'Two straights', factor: 1 },
  { title: 'Round kicks', factor: 0.42 },
  { title: 'Backfist and cross', factor: 0.88 },
] as const;
