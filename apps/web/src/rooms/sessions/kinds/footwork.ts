import type { FootworkBlockDto } from '@eurhythm/contract';
import type { BlockPage } from './blockPage.ts';

export const footworkPage: BlockPage<FootworkBlockDto> = {
  what: 'steps there and back, fitted to the room',
  fields: [
    { kind: 'line', name: 'there', label: 'Step there' },
    { kind: 'line', name: 'back', label: 'Step back' },
    { kind: 'number', name: 'steps', label: 'Steps' },
    { kind: 'line', name: 'strike', label: 'Strike on the last', hint: 'empty: none' },
    {
      kind: 'choice',
      name: 'strikeAt',
      label: 'It lands',
      choices: [
        { value: 'after', label: 'Half a beat after the foot' },
        { value: 'with', label: 'With the foot' },
      ],
    },
    { kind: 'number', name: 'room', label: 'Room, steps', hint: 'empty: plenty', orNull: true },
    { kind: 'number', name: 'bpm', label: 'Beats a minute' },
  ],
};
