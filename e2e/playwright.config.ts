import { execFileSync } from 'node:child_process';
import { mkdtempSync, symlinkSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { defineConfig } from '@playwright/test';

/** The stories run against the built application, on a fresh demo gym, in Debian's Chromium. */
const PORT = 4377;
const chromium = execFileSync('which', ['chromium'], { encoding: 'utf8' }).trim();
// The configuration is read by every worker; the folder is chosen once and handed on.
const data = (process.env['EURHYTHM_E2E_DATA'] ??= freshFolder());

/** What the voice has said in tests before is not said again. */
function freshFolder(): string {
  const folder = mkdtempSync(join(tmpdir(), 'eurhythm-e2e-'));
  const clips = process.env['EURHYTHM_TEST_CLIPS'];
  if (clips) symlinkSync(clips, join(folder, 'clips'));
  return folder;
}

/** On a busy machine a story may run again; the list then calls it flaky, which is a fault to be looked into. */
const retries = (most: number): number => (process.env['CI'] ? most : 0);
/** A machine without a sound card loses sound while it is busy, and strikes come late in what is left: these need it whole. */
const HEARING = ['listening.spec.ts', 'ownVoice.spec.ts', 'strikes.spec.ts'];

export default defineConfig({
  testDir: '.',
  outputDir: '../test-results',
  // Without a sound card the browser's audio clock goes slower than real time while the machine is busy.
  timeout: 240_000,
  // A busy machine draws late; what is drawn never is not drawn later either.
  expect: { timeout: 15_000 },
  workers: 1,
  retries: retries(2),
  fullyParallel: false,
  reporter: 'list',
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
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
  // The story begins on a fresh gym, so it goes first.
  projects: [
    { name: 'story', testMatch: 'story.spec.ts', retries: 0 },
    { name: 'views', testIgnore: ['story.spec.ts', ...HEARING], dependencies: ['story'] },
    { name: 'hearing', testMatch: HEARING, dependencies: ['story'], retries: retries(4) },
  ],
  webServer: {
    command: 'node apps/server/dist/bundle/main.js',
    cwd: fileURLToPath(new URL('..', import.meta.url)),
    stdout: 'pipe',
    url: `http://127.0.0.1:${PORT}/api/health`,
    // Copies of the gym are made where a story asks for one.
    env: { PORT: String(PORT), EURHYTHM_DATA: data, EURHYTHM_BACKUP_AFTER: '3600' },
    timeout: 60_000,
    gracefulShutdown: { signal: 'SIGTERM', timeout: 10_000 },
  },
});
