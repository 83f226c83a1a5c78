import type { Subject } from './queuedWrite.ts';

/** What is written, as the shell counts it. */
export const SUBJECTS = {
  mark: { one: 'mark', many: 'marks' },
  trial: { one: 'trial', many: 'trials' },
  test: { one: 'test', many: 'tests' },
  step: { one: 'step of a run', many: 'steps of a run' },
  home: { one: 'report from home', many: 'reports from home' },
  goal: { one: 'goal', many: 'goals' },
  shown: { one: 'mark of a grade', many: 'marks of grades' },
  grading: { one: 'signed sheet', many: 'signed sheets' },
  recall: { one: 'asking of combos', many: 'askings of combos' },
  requirements: { one: 'list of what a grade asks for', many: 'lists of what grades ask for' },
  run: { one: 'run', many: 'runs' },
  combo: { one: 'combo', many: 'combos' },
  order: { one: 'order of combos', many: 'orders of combos' },
  session: { one: 'session', many: 'sessions' },
  sheet: { one: 'class sheet', many: 'class sheets' },
  fighter: { one: 'entry of a fighter', many: 'entries of fighters' },
  move: { one: 'move', many: 'moves' },
  numbers: { one: 'number map', many: 'number maps' },
  grades: { one: 'list of grades', many: 'lists of grades' },
  techniques: { one: 'technique list', many: 'technique lists' },
  gym: { one: 'change of the gym', many: 'changes of the gym' },
  call: { one: 'call', many: 'calls' },
  theme: { one: 'theme', many: 'themes' },
  library: { one: 'piece of the library', many: 'pieces of the library' },
} as const satisfies Readonly<Record<string, Subject>>;
