import type { HoldBlockDto } from '@eurhythm/contract';
import { SIDES_FIELD, type BlockPage } from './blockPage.ts';

export const holdPage: BlockPage<HoldBlockDto> = {
  what: 'a stretch or stance, counted down',
  fields: [
    { kind: 'text', name: 'title', label: 'What is held' },
    { kind: 'number', name: 'holdSeconds', label: 'Seconds each' },
    SIDES_FIELD,
    { kind: 'number', name: 'times', label: 'Times' },
    {
      kind: 'number',
      name: 'relaxSeconds',
      label: 'Relax after each, s',
      hint: 'empty: only held',
      orNull: true,
    },
  ],
};
