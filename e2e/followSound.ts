import type { Page } from '@playwright/test';

interface Following {
  behind?: () => number;
  behindElsewhere?: number;
}

const EVERY_MS = 200;

/** What strikes on these pages strikes to the sound of another one, which has a striking microphone too; gives what ends it. */
export function followSound(of: Page, pages: readonly Page[]): () => void {
  const tell = async (): Promise<void> => {
    const behind = await of.evaluate(() => (window as Following).behind?.() ?? 0);
    await Promise.all(
      pages.map((page) => page.evaluate((by) => ((window as Following).behindElsewhere = by), behind)),
    );
  };
  // Pages close while they are asked.
  const timer = setInterval(() => void tell().catch(() => {}), EVERY_MS);
  return () => clearInterval(timer);
}
