import { expect, type Page } from '@playwright/test';

/** Picks up the row whose grip has the focus, moves it by one, and puts it down; each key waits for what the page says to the one before. */
export async function moveByKeys(page: Page, arrow: 'ArrowUp' | 'ArrowDown'): Promise<void> {
  const spoken = page.locator('[id^="DndLiveRegion"]').filter({ hasText: 'raggable item' });
  await page.keyboard.press('Space');
  await expect(spoken).toContainText('was moved over');
  const before = await spoken.textContent();
  await page.keyboard.press(arrow);
  await expect(spoken).not.toHaveText(before!);
  await page.keyboard.press('Space');
}
