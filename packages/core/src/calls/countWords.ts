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

/**
 * One to ten as written and, behind the colon, as ARPAbet phones with which an English voice says them acceptably
 * (stress marks are left out:
 * a short count word carries one stress), after the usual romanisations.
 */
const WORDS: Readonly<Record<Exclude<CountLanguage, 'english' | 'own'>, readonly string[]>> = {
  japanese: [
    'ichi: iy ch iy',
    'ni: n iy',
    'san: s aa n',
    'shi: sh iy',
    'go: g ow',
    'roku: r ow k uw',
    'shichi: sh iy ch iy',
    'hachi: hh aa ch iy',
    'kyu: k y uw',
    'ju: jh uw',
  ],
  korean: [
    'hana: hh aa n aa',
    'dul: d uw l',
    'set: s eh t',
    'net: n eh t',
    'daseot: d aa s ah t',
    'yeoseot: y ah s ah t',
    'ilgop: iy l g ow p',
    'yeodeol: y ah d ah l',
    'ahop: aa hh ow p',
    'yeol: y ah l',
  ],
  spanish: [
    'uno: uw n ow',
    'dos: d ow s',
    'tres: t r ey s',
    'cuatro: k w aa t r ow',
    'cinco: s iy n k ow',
    'seis: s ey s',
    'siete: s y eh t ey',
    'ocho: ow ch ow',
    'nueve: n w eh v ey',
    'diez: d y eh s',
  ],
  portuguese: [
    'um: uw m',
    'dois: d oy s',
    'três: t r ey s',
    'quatro: k w aa t r uw',
    'cinco: s iy n k uw',
    'seis: s ey s',
    'sete: s eh ch iy',
    'oito: oy t uw',
    'nove: n ao v iy',
    'dez: d eh s',
  ],
  thai: [
    'nueng: n uh ng',
    'song: s ao ng',
    'sam: s aa m',
    'si: s iy',
    'ha: hh aa',
    'hok: hh ow k',
    'chet: jh eh t',
    'paet: p eh t',
    'kao: k aa w',
    'sip: s ih p',
  ],
};

/** An own count word may carry its phones behind a colon, as the others do: "hup: hh ah p". */
function ownWord(written: string): string {
  return written.split(':')[0]!.trim().toLowerCase();
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
      const phones = written.split(':')[1]?.trim();
      return phones ? [[ownWord(written), phones] as const] : [];
    }),
  );
}

/**
 * The count's word for n, from 1; beyond a language's own words the English number.
 *
 * @example
 * countWord(2, 'japanese') // 'ni'
 */
export function countWord(n: number, language: CountLanguage, own: readonly string[] = []): string {
  if (language === 'english') return numberWord(n);
  const words = language === 'own' ? own.map(ownWord) : WORDS[language].map((word) => word.split(': ')[0]!);
  return words[n - 1] ?? numberWord(n);
}

const PHONES: ReadonlyMap<string, string> = new Map(
  Object.values(WORDS).flatMap((words) => words.map((word) => word.split(': ') as [string, string])),
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
