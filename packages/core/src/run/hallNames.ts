/** How fighters are called on devices that everybody in the hall sees. */
export type HallNames = 'first' | 'initials';

/**
 * Short names by which people still find themselves: first names, with the first letter of the last one where two share a first
 * name, or initials; who cannot be told apart so is numbered.
 *
 * @example
 * hallNames(['Lumi Achterberg', 'Lumi Roux', 'Oskar Bello'], 'first') // ['Lumi A.', 'Lumi R.', 'Oskar']
 */
export function hallNames(names: readonly string[], how: HallNames): string[] {
  const short = names.map((name) => (how === 'initials' ? initials(name) : firstName(name)));
  const shown = short.map((each, i) =>
    how === 'first' && short.indexOf(each) !== short.lastIndexOf(each) ? withLastLetter(names[i]!) : each,
  );
  return shown.map((each, i) => {
    if (shown.indexOf(each) === shown.lastIndexOf(each)) return each;
    return `${each} ${shown.slice(0, i + 1).filter((other) => other === each).length}`;
  });
}

const wordsOf = (name: string): string[] => name.trim().split(/\s+/);
const firstLetter = (word: string): string => [...word][0]?.toUpperCase() ?? '';
const firstName = (name: string): string => wordsOf(name)[0]!;
const initials = (name: string): string => wordsOf(name).map(firstLetter).join('');

function withLastLetter(name: string): string {
  const words = wordsOf(name);
  return words.length < 2 ? name.trim() : `${words[0]} ${firstLetter(words.at(-1)!)}.`;
}
