import { test as base } from '@playwright/test';
import { openGym } from '../apps/server/test/host/hostedGym.ts';
import { silentAudio } from './silentAudio.ts';

export { expect } from '@playwright/test';
export type { APIRequestContext, Browser, BrowserContext, Locator, Page } from '@playwright/test';

interface Gyms {
  /** Address of the gym of a file of stories: each has a fresh demo gym of its own. */
  of(file: string): Promise<string>;
}

interface OpenGym {
  readonly file: string;
  readonly base: string;
  close(): Promise<void>;
}

interface StoryOptions {
  /** Whether the browser's own audio plays; otherwise a stand-in whose clock is that of the page. */
  readonly sound: 'real' | 'silent';
}

export const test = base.extend<StoryOptions, { gyms: Gyms }>({
  sound: ['silent', { option: true }],
  gyms: [
    // eslint-disable-next-line no-empty-pattern -- the fixtures are told apart by their names
    async ({}, use) => {
      let open: OpenGym | null = null as OpenGym | null;
      await use({
        of: async (file) => {
          if (open?.file !== file) {
            await open?.close();
            open = { file, ...(await openGym('demo')) };
          }
          return open.base;
        },
      });
      await open?.close();
    },
    { scope: 'worker', timeout: 120_000 },
  ],
  baseURL: async ({ gyms }, use, { file }) => use(await gyms.of(file)),
  context: async ({ context, sound }, use) => {
    if (sound === 'silent') await silentAudio(context);
    await use(context);
  },
});
