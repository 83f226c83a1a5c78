import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Page } from '@playwright/test';

const axe = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

interface Fault {
  readonly id: string;
  readonly nodes: readonly { readonly html: string }[];
}

/** The sizes of the screens that the product is used on: a phone either way, a tablet, a laptop. */
export const SIZES = {
  phone: { width: 360, height: 740 },
  'phone on its side': { width: 740, height: 360 },
  tablet: { width: 768, height: 1024 },
  laptop: { width: 1280, height: 800 },
} as const;

/** What axe finds wrong on the page as it is now; what fades in has come first, for until then nobody can read it. */
export async function faultsOf(page: Page): Promise<string[]> {
  await page.evaluate(async () => {
    const moving = document.getAnimations().filter(({ effect, playState }) => {
      const { endTime } = effect?.getComputedTiming() ?? {};
      return playState === 'running' && typeof endTime === 'number' && Number.isFinite(endTime);
    });
    // One that is taken away meanwhile has ended, too.
    await Promise.all(moving.map(({ finished }) => finished.catch(() => null)));
  });
  // the page's policy lets no script in from outside; the tests bring theirs through the debugger instead
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe);
  return page.evaluate(async () => {
    const { violations } = await (
      window as unknown as { axe: { run(options: object): Promise<{ violations: Fault[] }> } }
    ).axe.run({ resultTypes: ['violations'], preload: false, iframes: false });
    return violations.map(
      ({ id, nodes }) => `${id}: ${nodes.map((node) => node.html.slice(0, 120)).join(' | ')}`,
    );
  });
}

/** How much wider than the screen the page is. */
export const tooWide = (page: Page): Promise<number> =>
  page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
