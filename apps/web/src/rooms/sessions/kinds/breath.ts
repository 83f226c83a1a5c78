import type { BreathBlockDto } from '@eurhythm/contract';
import { toldNumber } from '../../../ui/numbers.ts';
import type { BlockPage } from './blockPage.ts';

export const breathPage: BlockPage<BreathBlockDto> = {
  name: 'Breath',
  what: 'a minute to breathe, or to see the work before the eyes',
  timeName: 'Breath',
  fields: [
    { kind: 'text', name: 'title', label: 'Said first', hint: 'such as: see the next round' },
    { kind: 'number', name: 'inSeconds', label: 'In, seconds' },
    { kind: 'number', name: 'holdSeconds', label: 'Kept, seconds', hint: '0: not kept' },
    { kind: 'number', name: 'outSeconds', label: 'Out, seconds' },
  ],
  tell: ({ title, inSeconds, holdSeconds, outSeconds }) =>
    `${title}: in ${toldNumber(inSeconds)}${holdSeconds > 0 ? `, kept ${toldNumber(holdSeconds)}` : ''}, out ${toldNumber(outSeconds)}`,
};
