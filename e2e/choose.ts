import type { Locator } from '@playwright/test';

/** Chooses one of a field's choices by what it is called. */
export async function choose(field: Locator, name: string): Promise<void> {
  await field.click();
  await field.page().getByRole('option', { name, exact: true }).click();
}
