import { expect, type Locator } from '@playwright/test';

/** Chooses one of a field's choices by what it is called, once the list has found its place on the screen. */
export async function choose(field: Locator, name: string): Promise<void> {
  await field.click();
  const choices = field.page().getByRole('listbox');
  await expect(choices).toBeInViewport();
  await choices.getByRole('option', { name, exact: true }).click();
}
