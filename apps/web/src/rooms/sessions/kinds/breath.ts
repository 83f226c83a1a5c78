import type { BreathBlockDto } from '@eurhythm/contract';
import type { BlockPage } from './blockPage.ts';

export const breathPage: BlockPage<BreathBlockDto> = {
  what: 'a minute to breathe, or to see the work before the eyes',
  timeName: 'Breath',
  fields: [
    { kind: 'text', name: 'title', label: 'Said first', hint: 'such as: see the next round' },
    { kind: 'number', name: 'inSeconds', label: 'In, seconds' },
    { kind: 'number', name: 'holdSeconds', label: 'Kept, seconds', hint: '0: not kept' },
    { kind: 'number', name: 'outSeconds', label: 'Out, seconds' },
  ],
};
