import { PAGE_LIMITS, type PageQuery } from '@eurhythm/contract';

/** How many items a page has, with one more that tells whether there is another page. */
export function pageLength({ limit = PAGE_LIMITS.usual }: PageQuery): number {
  return limit;
}

/** Cuts a list that was read one item further than wanted, and says where the next page begins. */
export function pageOf<T extends { readonly id: string }>(
  read: readonly T[],
  length: number,
): { items: T[]; next: string | null } {
  const items = read.slice(0, length);
  return { items, next: read.length > length ? items.at(-1)!.id : null };
}
