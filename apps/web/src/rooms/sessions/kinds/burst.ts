import type { BurstBlockDto } from '@eurhythm/contract';
import type { BlockPage } from './blockPage.ts';

export const burstPage: BlockPage<BurstBlockDto> = {
  what: 'as many as possible in ten seconds',
  fields: [{ kind: 'text', name: 'title', label: 'What is done' }],
};
