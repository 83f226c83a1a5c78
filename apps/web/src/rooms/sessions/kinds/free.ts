import type { FreeBlockDto } from '@eurhythm/contract';
import type { BlockPage } from './blockPage.ts';
import { FreeSettings } from './fields/FreeSettings.tsx';

export const freePage: BlockPage<FreeBlockDto> = {
  what: 'move freely, with prompts',
  Settings: FreeSettings,
};
