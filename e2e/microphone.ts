import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, test, type Browser } from '@playwright/test';

/** A browser whose microphone hears a WAV file again and again. */
export function browserThatHears(wav: Uint8Array): Promise<Browser> {
  const heard = join(mkdtempSync(join(tmpdir(), 'eurhythm-mic-')), 'heard.wav');
  writeFileSync(heard, wav);
  const { executablePath, args = [] } = test.info().project.use.launchOptions!;
  return chromium.launch({
    executablePath: executablePath!,
    args: [
      ...args,
      '--use-fake-ui-for-media-stream',
      '--use-fake-device-for-media-stream',
      `--use-file-for-fake-audio-capture=${heard}`,
    ],
  });
}
