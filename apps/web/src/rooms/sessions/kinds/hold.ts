import type { HoldBlockDto } from '@eurhythm/contract';
import { toldNumber } from '../../../ui/numbers.ts';
import { SIDES_FIELD, type BlockPage } from './blockPage.ts';

export const holdPage: BlockPage<HoldBlockDto> = {
  name: 'Hold',
  what: 'a stretch or stance, counted down',
  fields: [
    { kind: 'text', name: 'title', label: 'What is held' },
    { kind: 'number', name: 'holdSeconds', label: 'Seconds each' },
    SIDES_FIELD,
    { kind: 'number', name: 'times', label: 'Times' },
  ],
  tell: ({ title, holdSeconds, sides, times }) =>
    `${title}: ${toldNumber(holdSeconds)} s${sides === 'both' ? ' each side' : ''} × ${toldNumber(times)}`,
};
