import type { AnyBlockDto, SaveSessionDto } from '@eurhythm/contract';

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
      { id: 'kbc-2', title: 'Slack two', kind: 'pads', blocks: pads('kbc-2', ['slack-2'], 120, 70, 40) },
      {
        id: 'kbc-3',
        title: 'Slack two and three',
        kind: 'pads',
        blocks: pads('kbc-3', ['slack-2', 'slack-3'], 180, 70, 40),
      },
      {
        id: 'kbc-4',
        title: 'Flood four',
        kind: 'pads',
        blocks: pads('kbc-4', ['flood-4'], 180, 74, 40, { calls: 'ahead' }),
      },
      {
        id: 'kbc-5',
        title: 'Flood six',
        kind: 'pads',
        blocks: pads('kbc-5', ['flood-6'], 120, 56, 60, { calls: 'lead-in' }),
      },
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
