import type { Page } from '@playwright/test';

export function strikingPage(
  page: Page,
  at?: readonly number[],
  options?: { readonly hearsItself?: number },
): Promise<void>;
