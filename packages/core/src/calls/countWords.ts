import { COUNT_RULES, MOST_RULED, ruledCount, spokenCount } from './countRules.ts';
import { numberWord } from './numberWords.ts';

/** What a class is counted in. */
export const COUNT_LANGUAGES = [
  'english',
  'japanese',
  'korean',
  'spanish',
  'portuguese',
  'thai',
  'own',
] as const;
export type CountLanguage = (typeof COUNT_LANGUAGES)[number];

/** An own count word may carry its phones behind a colon, as the others do: "hup: hh ah p". */
function ownWord(written: string): string {
  return spokenCount(written).text.toLowerCase();
}

/**
 * The phones of the gym's own count words, for those that have them.
 *
 * @example
 * ownPhones(['hup: hh ah p']).get('hup') // 'hh ah p'
 */
export function ownPhones(own: readonly string[]): ReadonlyMap<string, string> {
  return new Map(
    own.flatMap((written) => {
      const { phones } = spokenCount(written);
      return phones !== '' ? [[ownWord(written), phones] as const] : [];
    }),
  );
}

/**
 * The count's word for n, from 1 to 199, by the rules of its language; own words as far as the gym gives them. Null
 * beyond: nobody is counted on in another language without being reported.
 *
 * @param n a whole number
 *
 * @example
 * countWord(12, 'japanese') // 'juni'
 */
export function countWord(n: number, language: CountLanguage, own: readonly string[] = []): string | null {
  if (language === 'own') return own[n - 1] === undefined ? null : ownWord(own[n - 1]!);
  if (language === 'english') return n >= 1 && n <= MOST_RULED ? numberWord(n) : null;
  return ruledCount(COUNT_RULES[language], n)?.text ?? null;
}

const PHONES: ReadonlyMap<string, string> = new Map(
  Object.values(COUNT_RULES).flatMap((rules) =>
    Array.from({ length: MOST_RULED }, (_, i) => {
      const { text, phones } = ruledCount(rules, i + 1)!;
      return [text, phones] as const;
    }),
  ),
);

/**
 * The phones with which the English voice says a count word of another language; undefined for any other text.
 *
 * @example
 * phonesOf('ichi') // 'iy ch iy'
 */
export function phonesOf(text: string): string | undefined {
  return PHONES.get(text);
}
