import type { RestBlockDto } from '@eurhythm/contract';
import type { BlockPage } from './blockPage.ts';

export const restPage: BlockPage<RestBlockDto> = {
  name: 'Rest',
  what: 'nobody works',
  timeName: 'Rest',
  tell: () => '',
};
