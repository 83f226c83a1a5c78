import type { Page } from '@playwright/test';

/** A sound as the page put it on the audio clock. */
export interface StartedSound {
  /** Instant on the audio clock at which it starts. */
  readonly when: number;
  /** The audio clock at the moment of the call. */
  readonly now: number;
  /** Length of the sound, which tells clips and ticks apart. */
  readonly seconds: number;
}

/** Notes every sound that a page puts on its audio clock, by watching the browser's own audio nodes. */
export async function watchAudio(page: Page): Promise<void> {
  await page.addInitScript(() => {
    const started: StartedSound[] = [];
    Object.assign(window, { startedSounds: started });
    const start = AudioBufferSourceNode.prototype.start;
    AudioBufferSourceNode.prototype.start = function (when = 0, ...rest) {
      started.push({ when, now: this.context.currentTime, seconds: this.buffer?.duration ?? 0 });
      return start.call(this, when, ...rest);
    };
  });
}

export function startedSounds(page: Page): Promise<StartedSound[]> {
  return page.evaluate(() => (window as unknown as { startedSounds: StartedSound[] }).startedSounds);
}
