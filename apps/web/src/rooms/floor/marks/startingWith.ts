/**
 * Those of whom a name begins so, their first or a later one; nobody without a letter.
 *
 * @example
 * startingWith([{ name: 'Oskar Bello' }, { name: 'Ines Okafor' }], 'ok') // [{ name: 'Ines Okafor' }]
 */
export function startingWith<T extends { readonly name: string }>(
  people: readonly T[],
  letters: string,
): T[] {
  const wanted = plain(letters.trim());
  if (wanted === '') return [];
  return people.filter(({ name }) =>
    plain(name)
      .split(/\s+/)
      .some((_, i, parts) => parts.slice(i).join(' ').startsWith(wanted)),
  );
}

/** QueuedWrites without what stands above and below them, so that nobody needs another keyboard. */
const plain = (text: string): string => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();
