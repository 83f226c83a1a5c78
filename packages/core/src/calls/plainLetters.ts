/** Letters that are no letter with a mark on it, by what an English reader takes them for. */
const OTHER_LETTERS: Readonly<Record<string, string>> = {
  ß: 'ss',
  æ: 'ae',
  œ: 'oe',
  ø: 'o',
  đ: 'd',
  ð: 'd',
  ł: 'l',
  þ: 'th',
  ı: 'i',
};

/**
 * A text in the letters that the bundled voice reads: marks are taken off, since the voice leaves out a letter that it does
 * not know. Other scripts stay as they are.
 * @example plainLetters('Größe, đấm') // 'Grosse, dam'
 */
export function plainLetters(text: string): string {
  return text
    .normalize('NFD')
    .replace(/(\p{Script=Latin})\p{M}+/gu, '$1')
    .replace(/[ßæœøđðłþı]/giu, (letter) => {
      const plain = OTHER_LETTERS[letter.toLowerCase()]!;
      return letter === letter.toLowerCase() ? plain : plain.charAt(0).toUpperCase() + plain.slice(1);
    })
    .normalize('NFC');
}
