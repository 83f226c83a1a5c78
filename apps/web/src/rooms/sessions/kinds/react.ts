import type { ReactBlockDto } from '@eurhythm/contract';
import type { BlockPage } from './blockPage.ts';
import { ReactSettings } from './fields/ReactSettings.tsx';

export const reactPage: BlockPage<ReactBlockDto> = {
  what: 'answer a call at random waits',
  Settings: ReactSettings,
};
