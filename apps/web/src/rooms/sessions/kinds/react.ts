import type { ReactBlockDto } from '@eurhythm/contract';
import type { BlockPage } from './blockPage.ts';

export const reactPage: BlockPage<ReactBlockDto> = {
  name: 'React',
  what: 'answer a call at random waits',
  fields: [
    { kind: 'text', name: 'call', label: 'Call', hint: 'empty: the holder’s own sign' },
    { kind: 'line', name: 'line', label: 'Answer' },
    { kind: 'number', name: 'every.min', label: 'Shortest wait, s' },
    { kind: 'number', name: 'every.max', label: 'Longest wait, s' },
    { kind: 'number', name: 'regular', label: 'Regular at first, s' },
  ],
  tell: ({ call, line }) => `${call === '' ? 'the holder’s sign' : `“${call}”`}: ${line}`,
};
