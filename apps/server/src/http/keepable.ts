/** Deepest nesting that is looked into; no shape of the contract comes near it. */
const DEEPEST = 100;

/** Whether a database can hold a text: no half characters, no zero characters. */
export function isKeepableText(text: string): boolean {
  return !text.includes('\0') && !/\p{Surrogate}/u.test(text);
}

/**
 * Whether it can hold every text of a value, which is not nested without end, and its lists are lists of things: none of the shapes of
 * the contract has a gap in a list, or lists in a list, but for those that are named.
 */
export function isKeepable(
  value: unknown,
  listsOfLists: readonly string[] = [],
  key = '',
  depth = 0,
): boolean {
  if (typeof value === 'string') return isKeepableText(value);
  if (typeof value !== 'object' || value === null) return true;
  if (depth > DEEPEST) return false;
  const isRight = (item: unknown): boolean =>
    item !== null && (!Array.isArray(item) || listsOfLists.includes(key));
  if (Array.isArray(value) && !value.every(isRight)) return false;
  return Object.entries(value).every(
    ([name, inner]) => isKeepableText(name) && isKeepable(inner, listsOfLists, name, depth + 1),
  );
}
