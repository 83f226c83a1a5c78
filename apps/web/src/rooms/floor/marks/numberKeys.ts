/** Fighters have numbers of as many digits as the last of them, so that the last digit always says who is meant. */
export const keyOf = (place: number, count: number): string =>
  String(place + 1).padStart(String(count).length, '0');

/** What is typed after one more digit, and the place of whoever is meant once all digits are there. */
export interface Typed {
  readonly digits: string;
  readonly place: number | null;
}

/**
 * @example
 * afterDigit('1', 4, 14) // { digits: '', place: 13 }
 */
export function afterDigit(digits: string, digit: number, count: number): Typed {
  const all = digits + digit;
  if (all.length < String(count).length) return { digits: all, place: null };
  const place = Number(all) - 1;
  return { digits: '', place: place >= 0 && place < count ? place : null };
}
