import type { LineupBlockDto } from '@eurhythm/contract';
import type { BlockPage } from './blockPage.ts';

export const lineupPage: BlockPage<LineupBlockDto> = {
  what: 'everybody in line, to begin or to end',
  fields: [
    { kind: 'words', name: 'calls', label: 'Said in turn', hint: 'such as: line up, eyes closed, bow' },
  ],
};
