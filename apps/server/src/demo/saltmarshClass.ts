import type { AnyBlockDto } from '@eurhythm/contract';
import type { DemoSession } from './saltmarshSessions.ts';

const rest = (id: string, seconds: number): AnyBlockDto => ({ kind: 'rest', id, seconds });

const kicks = (id: string, title: string, line: string, seconds: number): AnyBlockDto => ({
  kind: 'count',
  id,
  seconds,
  title,
  line,
  reps: 15,
  groups: [
    { group: 'Minnows', reps: 10 },
    { group: 'Herons', reps: 12 },
  ],
  sides: 'both',
  sets: 2,
  rest: 20,
  repSeconds: 2,
  method: 'whole',
  direction: 'up',
  levels: 'fixed',
  from: 'standing',
  shoutLast: true,
});

const lanes = [
  { group: 'Minnows', combos: [{ comboId: 'minnows-1' }] },
  { group: 'Herons', combos: [{ comboId: 'herons-1' }] },
];

/** The class of an hour for three groups: children and adults on one clock, each with work of their own. */
export const FULL_CLASS: DemoSession = {
  id: 'three-groups',
  title: 'Three groups, one hour',
  lead: 'left',
  inDays: 6,
  word: 'tide',
  groups: [
    { name: 'Minnows', gradeIds: ['minnows'] },
    { name: 'Herons', gradeIds: ['herons'] },
    { name: 'Adults', gradeIds: ['ebb', 'slack', 'flood', 'spring'] },
  ],
  rounds: [
    {
      id: 'tg-1',
      title: 'Warm up',
      kind: 'warm-up',
      blocks: [
        {
          kind: 'talk',
          id: 'tg-1-1',
          seconds: 45,
          title: 'Welcome',
          notes: 'Who has pain somewhere says so now.',
        },
        {
          kind: 'condition',
          id: 'tg-1-2',
          seconds: 120,
          title: 'Loose jog',
          reps: null,
          groups: [],
          repSeconds: 2,
        },
        {
          kind: 'hold',
          id: 'tg-1-3',
          seconds: 36,
          title: 'Calf stretch',
          holdSeconds: 15,
          sides: 'both',
          times: 1,
        },
        {
          kind: 'free',
          id: 'tg-1-4',
          seconds: 164,
          prompts: ['Hands high', 'Light feet', 'Circle out', 'Change lead'],
          every: { min: 8, max: 14 },
          leadPlan: 'halves',
        },
        rest('tg-1-5', 30),
      ],
    },
    {
      id: 'tg-2',
      title: 'Round kick',
      kind: 'technique',
      blocks: [kicks('tg-2-1', 'Round kick', 'r:round', 152), rest('tg-2-2', 40)],
    },
    {
      id: 'tg-3',
      title: 'Push kick',
      kind: 'technique',
      blocks: [kicks('tg-3-1', 'Push kick', 'f:push', 152), rest('tg-3-2', 60)],
    },
    {
      id: 'tg-4',
      title: 'Combos, each their own',
      kind: 'combos',
      blocks: [
        {
          kind: 'combo',
          id: 'tg-4-1',
          seconds: 190,
          combos: [{ comboId: 'ebb-2' }],
          bpm: 72,
          calls: 'lead-in',
          words: 'names',
          leadPlan: 'halves',
          cyclesEach: 4,
          lanes,
          tell: 'Three groups, three combos, one beat.',
        },
        rest('tg-4-2', 40),
      ],
      series: { id: 'tg-series', times: 3 },
    },
    {
      id: 'tg-5',
      title: 'Pads',
      kind: 'pads',
      blocks: [
        {
          kind: 'combo',
          id: 'tg-5-1',
          seconds: 160,
          combos: [{ comboId: 'ebb-1' }, { comboId: 'slack-2' }],
          bpm: 68,
          calls: 'on-beat',
          words: 'numbers',
          leadPlan: 'halves',
          cyclesEach: 4,
          lanes,
          intensity: [10, 25],
          kit: ['pads'],
        },
        rest('tg-5-2', 40),
      ],
      series: { id: 'tg-pads', times: 5 },
    },
    {
      id: 'tg-6',
      title: 'Squats and hollow holds',
      kind: 'conditioning',
      blocks: [
        {
          kind: 'condition',
          id: 'tg-6-1',
          seconds: 53,
          title: 'Squats',
          reps: 25,
          groups: [
            { group: 'Minnows', reps: 15 },
            { group: 'Herons', reps: 20 },
          ],
          repSeconds: 2,
        },
        {
          kind: 'hold',
          id: 'tg-6-2',
          seconds: 46,
          title: 'Hollow hold',
          holdSeconds: 20,
          sides: 'one',
          times: 2,
        },
        rest('tg-6-3', 40),
      ],
      series: { id: 'tg-strength', times: 3 },
    },
    {
      id: 'tg-7',
      title: 'Shadow, your own',
      kind: 'shadow',
      blocks: [
        {
          kind: 'free',
          id: 'tg-7-1',
          seconds: 180,
          prompts: ['Move your head', 'Hands high', 'Jab to move', 'Circle out'],
          every: { min: 8, max: 14 },
          leadPlan: 'halves',
        },
        rest('tg-7-2', 30),
      ],
      series: { id: 'tg-shadow', times: 2 },
    },
    {
      id: 'tg-8',
      title: 'Long stretches',
      kind: 'stretch',
      blocks: [
        {
          kind: 'hold',
          id: 'tg-8-1',
          seconds: 92,
          title: 'Hip stretch',
          holdSeconds: 20,
          sides: 'both',
          times: 2,
        },
        {
          kind: 'hold',
          id: 'tg-8-2',
          seconds: 92,
          title: 'Hamstring stretch',
          holdSeconds: 20,
          sides: 'both',
          times: 2,
        },
        {
          kind: 'talk',
          id: 'tg-8-3',
          seconds: 90,
          title: 'What stays',
          notes: 'One thing each group takes home.',
        },
      ],
    },
  ],
};
