import { expect, type Page } from './test.ts';

/** Opens a closed part of a page by the beginning of its heading. */
export async function openPart(page: Page, title: string): Promise<void> {
  const part = page.getByRole('button', { name: new RegExp(`^${title}`) });
  await part.click();
  await expect(part).toHaveAttribute('aria-expanded', 'true');
}

/** Opens all parts of a page that are closed. */
export async function openAllParts(page: Page): Promise<void> {
  const closed = page.locator('h2 > button[aria-expanded=false]');
  for (let left = await closed.count(); left > 0; left = await closed.count()) await closed.first().click();
}
