/**
 * The items under the key that each one gives, keys in the order in which they first come.
 *
 * @example
 * [...groupBy([1, 2, 3], (n) => n % 2).keys()] // [1, 0]
 */
export function groupBy<T, K>(items: Iterable<T>, keyOf: (item: T) => K): Map<K, T[]> {
  const groups = new Map<K, T[]>();
  for (const item of items) {
    const key = keyOf(item);
    const group = groups.get(key);
    if (group) group.push(item);
    else groups.set(key, [item]);
  }
  return groups;
}
