/** A call with the phones that say it. */
export interface SpokenForm {
  readonly text: string;
  readonly phones: readonly string[];
}

/** Two calls that may be taken for each other in a loud hall. */
export interface SoundAlike {
  readonly a: string;
  readonly b: string;
  /** 0 for the same sound; up to `ALIKE` they are reported. */
  readonly apart: number;
}

/** Calls up to this far apart are reported; "five" and "nine" are 0.33 apart. */
export const ALIKE = 0.34;
/** Longer calls have enough in them to be told apart. */
const MOST_PHONES = 5;
/** Noise drowns consonants before vowels: another consonant parts two words less than another vowel does. */
const CONSONANT = 0.5;
const VOWEL = 1.5;
const VOWELS = new Set('aa ae ah ao aw ax axr ay eh er ey ih ix iy ow oy uh uw'.split(' '));

/**
 * The pairs of short calls that sound alike, the most alike first. Phones are ARPAbet names, pauses left out.
 *
 * @example
 * soundAlike([{ text: 'five', phones: ['f', 'ay', 'v'] }, { text: 'nine', phones: ['n', 'ay', 'n'] }]).length // 1
 */
export function soundAlike(forms: readonly SpokenForm[]): SoundAlike[] {
  const short = forms.filter(({ phones }) => phones.length > 0 && phones.length <= MOST_PHONES);
  const pairs = short.flatMap((a, i) =>
    short.slice(i + 1).flatMap((b): SoundAlike[] => {
      const apart = distance(a.phones, b.phones) / Math.max(a.phones.length, b.phones.length);
      return a.text !== b.text && apart <= ALIKE ? [{ a: a.text, b: b.text, apart }] : [];
    }),
  );
  return pairs.sort((x, y) => x.apart - y.apart);
}

const weight = (phone: string): number => (VOWELS.has(phone) ? VOWEL : CONSONANT);

/** Edit distance with the weights above (Levenshtein 1966). */
function distance(a: readonly string[], b: readonly string[]): number {
  let row = b.reduce<number[]>((sums, phone) => [...sums, sums.at(-1)! + weight(phone)], [0]);
  for (const phone of a) {
    const next = [row[0]! + weight(phone)];
    for (const [j, other] of b.entries()) {
      const change = phone === other ? 0 : Math.max(weight(phone), weight(other));
      next.push(Math.min(row[j]! + change, row[j + 1]! + weight(phone), next[j]! + weight(other)));
    }
    row = next;
  }
  return row.at(-1)!;
}
