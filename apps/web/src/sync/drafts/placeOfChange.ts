/**
 * Where two states of a draft differ: the path to the smallest part that holds every difference; null where a list became
 * longer or shorter, which is a step of its own however soon it follows.
 *
 * @example
 * placeOfChange({ title: 'a', rounds: [] }, { title: 'ab', rounds: [] }) // 'title'
 */
export function placeOfChange(before: unknown, after: unknown): string | null {
  const path: string[] = [];
  let [one, other] = [before, after];
  while (isParted(one) && isParted(other)) {
    if (Array.isArray(one) && Array.isArray(other) && one.length !== other.length) return null;
    const [a, b] = [one as Parts, other as Parts];
    const differing = [...new Set([...Object.keys(a), ...Object.keys(b)])].filter((key) => a[key] !== b[key]);
    if (differing.length !== 1) break;
    path.push(differing[0]!);
    [one, other] = [a[differing[0]!], b[differing[0]!]];
  }
  return path.join('/');
}

type Parts = Readonly<Record<string, unknown>>;

const isParted = (value: unknown): boolean => typeof value === 'object' && value !== null;
