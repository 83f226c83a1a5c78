const ONES =
  'zero one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen seventeen eighteen nineteen'.split(
    ' ',
  );
const TENS = ['', '', 'twenty', 'thirty', 'forty', 'fifty', 'sixty', 'seventy', 'eighty', 'ninety'];

/**
 * "forty two" for 42, "one hundred seven" for 107; 0 to 999. @throws RangeError beyond.
 *
 * @param n a whole number, 0 to 999
 *
 * @example
 * numberWord(12) // 'twelve'
 */
export function numberWord(n: number): string {
  if (!Number.isInteger(n) || n < 0 || n > 999) throw new RangeError(`no word for ${n}`);
  if (n >= 100) {
    const hundred = `${ONES[Math.floor(n / 100)]!} hundred`;
    return n % 100 === 0 ? hundred : `${hundred} ${numberWord(n % 100)}`;
  }
  if (n < 20) return ONES[n]!;
  return n % 10 === 0 ? TENS[n / 10]! : `${TENS[Math.floor(n / 10)]!} ${ONES[n % 10]!}`;
}
