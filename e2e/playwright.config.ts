import { defineConfig } from '@playwright/test';
import { needChromium } from '../scripts/chromium.mjs';

/** The stories run against the built application in Debian's Chromium, each file on a fresh demo gym of its own. */
const chromium = needChromium();
/** What is about the browser's own audio needs it whole, so nothing runs beside it: a machine without a sound card loses some while it is busy. */
const SOUND = ['strikes.spec.ts', 'sound.spec.ts'];
/** What is about when something is heard, on a device that loses nothing. These take longest, so they come first. */
const PACED = [
  'heardBurst.spec.ts',
  'listening.spec.ts',
  'ownVoice.spec.ts',
  'strikesLab.spec.ts',
  'story.spec.ts',
];

export default defineConfig({
  testDir: '.',
  outputDir: '../test-results',
  timeout: 240_000,
  // A busy machine draws late; what is drawn never is not drawn later either.
  expect: { timeout: 15_000 },
  // Much of a story is waiting.
  workers: 3,
  fullyParallel: false,
  reporter: [['list'], ['../scripts/slowestFiles.mjs']],
  use: {
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: chromium,
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-background-networking',
        '--disable-component-update',
        '--autoplay-policy=user-gesture-required',
      ],
    },
    // What cannot be pressed for so long will not be pressed later.
    actionTimeout: 30_000,
    trace: 'off',
    // What a story puts between a page and the server would not be asked; those about working alone allow it.
    serviceWorkers: 'block',
  },
  projects: [
    // Two at once: each of them is a device that renders and a thread that listens.
    { name: 'paced', testMatch: PACED, fullyParallel: true, workers: 2, use: { sound: 'paced' } as object },
    { name: 'stories', testIgnore: [...SOUND, ...PACED] },
    { name: 'sound', testMatch: SOUND, workers: 1, use: { sound: 'real' } as object },
  ],
});
