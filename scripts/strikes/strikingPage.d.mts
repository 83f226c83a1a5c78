import type { Page } from '@playwright/test';

export function strikingPage(
  page: Page,
  at?: readonly number[],
  options?: {
    readonly hearsItself?: number;
    readonly beside?: { readonly sampleRate: number; readonly samples: ArrayLike<number> };
  },
): Promise<void>;
