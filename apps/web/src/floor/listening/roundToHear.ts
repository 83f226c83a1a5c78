/** A round and a sensor beside it, for tests. */
import { ENGLISH_COUNT, usualBlock } from '@eurhythm/core/rounds';
import { starterBook } from '@eurhythm/core/moves';
import { compileToPlay, type RoundToPlay } from '@eurhythm/core/run';
import { dueStrikes } from '@eurhythm/core/strikes';
import type { Listener, Take } from './Listening.ts';

const book = starterBook();
const combo = { id: 'c', grade: 'Ebb', number: 3, title: '', line: '1 2-3', beatsPerBar: 4 };
const blocks = [
  {
    ...usualBlock('combo', 'work'),
    seconds: 40,
    combos: [combo],
    bpm: 90,
    leadPlan: 'as-set',
    cyclesEach: 3,
  },
];
const setting = { seedKey: 'o', lead: 'left', word: '', count: ENGLISH_COUNT, clips: [] } as const;
export const round: RoundToPlay = compileToPlay({ id: 'r', blocks: blocks as never }, setting, book);
export const due = dueStrikes(round);
export const listener: Listener = {
  id: 'here',
  name: 'this device',
  fighterIds: ['ines'],
  source: 'sensor',
  device: 'pad-1',
  detector: null,
  leastStrength: null,
  status: '',
};
export const takeOf = (at: readonly number[], more: Partial<Take> = {}): Take => ({
  listener,
  round: 0,
  onsets: at.map((each) => ({ at: each })),
  from: 0,
  isDropped: false,
  time: 0,
  ...more,
});
export const workersOf = (_fighterIds: readonly string[]) => ({
  dueOf: () => due,
  workerAt: () => 'ines',
});
export const place = { lead: 'left', runId: 'run', at: '2026-03-05T18:30:00Z' } as const;
