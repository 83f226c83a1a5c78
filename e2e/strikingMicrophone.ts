import type { Page } from '@playwright/test';

export { strikingPage as strikingMicrophone } from '../scripts/strikes/strikingPage.mjs';

/** Strikes once, now. */
export const strikeNow = (page: Page): Promise<void> =>
  page.evaluate(() => (window as unknown as { strike(inSeconds: number): void }).strike(0.01));
