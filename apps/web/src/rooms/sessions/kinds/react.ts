import type { ReactBlockDto } from '@eurhythm/contract';
import type { BlockPage } from './blockPage.ts';
import { ReactSettings } from './fields/ReactSettings.tsx';

export const reactPage: BlockPage<ReactBlockDto> = {
  name: 'React',
  what: 'answer a call at random waits',
  Settings: ReactSettings,
  tell: ({ call, line, more = [] }) =>
    [{ call, line }, ...more]
      .map((each) => `${each.call === '' ? 'the holder’s sign' : `“${each.call}”`}: ${each.line}`)
      .join(', '),
};
