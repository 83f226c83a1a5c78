import type { TalkBlockDto } from '@eurhythm/contract';
import type { BlockPage } from './blockPage.ts';

export const talkPage: BlockPage<TalkBlockDto> = {
  what: 'explain; the words are for you',
  timeName: 'Talk',
  fields: [
    { kind: 'text', name: 'title', label: 'About' },
    { kind: 'long', name: 'notes', label: 'Notes' },
  ],
};
