/** The made-up demo gym: its grades, people and combos. Its log is generated (demoLog.ts). */
import type { CareDto, SaveComboDto, SaveFighterDto, SaveTestDto, SchoolDto } from '@eurhythm/contract';
import type { FighterProfile } from '@eurhythm/core/simulation';

export const GYM_NAME = 'Saltmarsh Striking Hall';

/** What lies in the boathouse. */
export const KIT = ['pads', 'shields', 'floor tape'];

export const GRADES = [
  { id: 'minnows', name: 'Minnows', band: 'children' },
  { id: 'herons', name: 'Herons', band: 'children' },
  { id: 'ebb', name: 'Ebb', band: 'adults' },
  { id: 'slack', name: 'Slack', band: 'adults' },
  { id: 'flood', name: 'Flood', band: 'adults' },
  { id: 'spring', name: 'Spring', band: 'adults' },
] as const;

/** What the children of the gym may do: a light touch to the body, and nothing else. */
export const YOUTH: SchoolDto['youth'] = ['minnows', 'herons'].map((gradeId) => ({
  gradeId,
  headContact: false,
  knees: false,
  elbows: false,
  spins: false,
  jumps: false,
  contact: 25,
}));

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
  /** Week in which one trial went better than it ever will again, by a share. */
  readonly luckyWeek?: number;
  /** Share of the classes attended. */
  readonly attends: number;
}

export interface DemoFighter extends SaveFighterDto {
  readonly fit: boolean;
  readonly id: string;
  readonly story: Story;
}

/** In centimetres. */
const HEIGHTS: Readonly<Record<string, number>> = {
  lumi: 121,
  oskar: 143,
  yara: 150,
  sanne: 171,
  emeka: 183,
  dario: 176,
  mbali: 168,
  tomasz: 186,
  nuria: 164,
  radek: 181,
  leilani: 170,
  joost: 188,
  ines: 173,
  suda: 166,
};

/** Who should not be partners: the one hits too hard for the other’s return. */
const APART: Readonly<Record<string, string[]>> = { dario: ['radek'] };

/** What the notes say, so that the class and its pads look out for it. */
const CARE: Readonly<Record<string, CareDto>> = {
  dario: { startsLight: true, noHeadContact: false, spared: [] },
  joost: { startsLight: false, noHeadContact: false, spared: ['right-hand'] },
};

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
  height: HEIGHTS[id] ?? null,
  apart: APART[id] ?? [],
  care: CARE[id] ?? null,
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
    { rate: 3.6, weekly: 0.002, luckyWeek: 6 },
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
  combo('minnows-1', 'minnows', 1, 'Two taps', 'jab . cross@b', 60, 'Big step back after the second tap.'),
  combo('minnows-2', 'minnows', 2, 'Tap and duck', 'jab . duck', 60),
  combo('herons-1', 'herons', 1, 'Tap, tap, push', '1@b 2@b f:push', 66),
  combo('herons-2', 'herons', 2, 'Sweep the reeds', '1@b . r:round@l', 66),
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
  combo('slack-1', 'slack', 1, 'Slide and kick', '1 2 skip-f:round', 76),
  combo('slack-2', 'slack', 2, 'Knee behind', '3 2-r:knee', 82, 'The knee rides on the turn of the cross.'),
  combo('slack-3', 'slack', 3, 'Weave and answer', '1 weave 3-2', 86),
  combo('flood-3', 'flood', 3, 'Two steps up', '1-1 2@b 3-r:round@l', 76),
  combo(
    'flood-4',
    'flood',
    4,
    'Low gate, knee through',
    '1-1 2> 3@b r:round@l*:3/2 2 . r:knee!',
    76,
    'Low kick with the hip all the way over. Wait for the foot, then the cross. Shout on the knee.',
    { focus: ['hip over', 'wait for the foot'], contact: [0, 10, 25, 40] },
  ),
  combo(
    'flood-5',
    'flood',
    5,
    'One leg, two doors',
    "f:round@b'-^f:hookkick@h",
    54,
    'The foot does not touch the floor in between.',
  ),
  combo(
    'flood-6',
    'flood',
    6,
    'Change at the door',
    '1-2 sw f:round@l 2',
    68,
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
    72,
    'Two quick, a wait, then the hook to the body.',
  ),
];

const burst = (id: string, title: string, line: string, factor: number, isHeard = false): DemoTest => ({
  id,
  title,
  kind: 'burst',
  line,
  seconds: 10,
  direction: 'higher',
  factor,
  isHeard,
});

/** A burst that the gym tests, and how fast it is beside the fighter's own rate. */
export interface DemoTest extends SaveTestDto {
  readonly id: string;
  readonly factor: number;
  /** A microphone counts it; else it is tapped. */
  readonly isHeard: boolean;
}

export const TESTS: readonly DemoTest[] = [
  burst('two-straights', 'Two straights', '1 2', 1),
  burst('round-kicks', 'Round kicks', 'r:round', 0.42, true),
  burst('backfist-and-cross', 'Backfist and cross', 'backfist cross', 0.88),
];
