import { test as base } from '@playwright/test';
import { openGym } from '../apps/server/test/host/hostedGym.ts';
import { pacedAudio } from './pacedAudio.ts';
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
  /** Whether the browser's own audio plays; a device that loses nothing; or one that is silent. */
  readonly sound: 'real' | 'paced' | 'silent';
}

/** What somebody sees who starts it for the first time is a story of its own. */
const FIRST_START = /story\.spec\.ts$/;

async function acceptNotice(base: string): Promise<void> {
  const headers = { 'content-type': 'application/json' };
  const body = JSON.stringify({ accepted: true });
  const { ok } = await fetch(`${base}/api/gym/notice`, { method: 'PUT', headers, body });
  if (!ok) throw new Error('the notice could not be accepted');
}

const AUDIO = { real: async () => {}, paced: pacedAudio, silent: silentAudio } as const;

export const test = base.extend<object, StoryOptions & { gyms: Gyms }>({
  sound: ['silent', { option: true, scope: 'worker' }],
  // Every page of a story has that sound, those of other devices too.
  browser: [
    async ({ browser, sound }, use) => {
      const opened = browser.newContext.bind(browser);
      browser.newContext = async (options) => {
        const context = await opened(options);
        await AUDIO[sound](context);
        return context;
      };
      await use(browser);
    },
    { scope: 'worker' },
  ],
  gyms: [
    // eslint-disable-next-line no-empty-pattern -- the fixtures are told apart by their names
    async ({}, use) => {
      let open: OpenGym | null = null as OpenGym | null;
      await use({
        of: async (file) => {
          if (open?.file !== file) {
            await open?.close();
            open = { file, ...(await openGym('demo')) };
            if (!FIRST_START.test(file)) await acceptNotice(open.base);
          }
          return open.base;
        },
      });
      await open?.close();
    },
    { scope: 'worker', timeout: 120_000 },
  ],
  baseURL: async ({ gyms }, use, { file }) => use(await gyms.of(file)),
});
