import type { RestBlockDto } from '@eurhythm/contract';
import type { BlockPage } from './blockPage.ts';

export const restPage: BlockPage<RestBlockDto> = {
  what: 'nobody works',
  timeName: 'Rest',
};
