import type { Lead } from '../moves/index.ts';
import type { EpochMs } from '../run/index.ts';
import { seedFromText } from '../units/index.ts';

/** Digits and letters that are not taken for each other. */
const SYMBOLS = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';
const SYMBOL_BITS = 5;
const IN_A_GROUP = 4;
const VERSION = 1;
/** A code counts days from here: 1 January 2020. */
const FIRST_DAY: EpochMs = Date.UTC(2020, 0, 1);
const DAY = 86_400_000;
const HOUR = 3_600_000;

/** The fields of a code, in their order, with their bits. Each burst that follows has a lead and a count. */
const BITS = {
  version: 2,
  fighter: 8,
  session: 12,
  day: 14,
  hour: 5,
  finished: 6,
  rounds: 6,
  effort: 4,
  bursts: 2,
} as const;
const BURST_BITS = { lead: 1, count: 9 } as const;
const CHECK_BITS = 10;

/** Bursts at home last so long, in seconds. */
export const BURST_AT_HOME = 10;

/** What fits into a code; what is more is reported as so much. */
export const HOME_LIMITS = { rounds: 63, bursts: 3, count: 511 } as const;

export interface HomeBurst {
  readonly lead: Lead;
  readonly count: number;
}

/** What was done at home, as the page at home knows it. */
export interface DoneAtHome {
  readonly fighterId: string;
  readonly sessionId: string;
  readonly at: EpochMs;
  /** Rounds that were done to their end, and how many there were. */
  readonly finished: number;
  readonly rounds: number;
  /** 1 to 10; null where nothing was said. */
  readonly effort: number | null;
  /** Bursts of ten seconds, in their order. */
  readonly bursts: readonly HomeBurst[];
}

/** What a code tells. Whose it is and of which session only shows when it is held against them. */
export interface HomeCode extends Omit<DoneAtHome, 'fighterId' | 'sessionId'> {
  /** The code in its one way of writing. */
  readonly code: string;
  isOf(what: 'fighter' | 'session', id: string): boolean;
}

const markOf = (id: string, bits: number): number => seedFromText(id) % 2 ** bits;

/**
 * What was done at home, in letters that can be read out on the telephone and typed.
 *
 * @example
 * homeCode({ fighterId: 'ines', sessionId: 'monday', at: 1.8e12, finished: 5, rounds: 6, effort: 7, bursts: [{ lead: 'left', count: 41 }] }).length // 19
 */
export function homeCode(done: DoneAtHome): string {
  const bursts = done.bursts.slice(0, HOME_LIMITS.bursts);
  const since = Math.max(0, done.at - FIRST_DAY);
  const rounds = Math.min(done.rounds, HOME_LIMITS.rounds);
  const values: Record<keyof typeof BITS, number> = {
    version: VERSION,
    fighter: markOf(done.fighterId, BITS.fighter),
    session: markOf(done.sessionId, BITS.session),
    day: Math.min(Math.floor(since / DAY), 2 ** BITS.day - 1),
    hour: Math.floor((since % DAY) / HOUR),
    finished: Math.min(done.finished, rounds),
    rounds,
    effort: done.effort ?? 0,
    bursts: bursts.length,
  };
  let bits = (Object.keys(BITS) as (keyof typeof BITS)[])
    .map((key) => binary(values[key], BITS[key]))
    .join('');
  for (const { lead, count } of bursts)
    bits +=
      binary(lead === 'left' ? 0 : 1, BURST_BITS.lead) +
      binary(Math.min(count, HOME_LIMITS.count), BURST_BITS.count);
  const padded = bits.padEnd(Math.ceil(bits.length / SYMBOL_BITS) * SYMBOL_BITS, '0');
  return grouped(symbolsOf(padded + checkOf(padded)));
}

/**
 * Reads a code however it is typed: small letters, spaces, O for 0, I or L for 1.
 *
 * @returns what it tells, or a sentence
 * @example
 * readHomeCode('nothing').ok // false
 */
export function readHomeCode(
  typed: string,
): { readonly ok: true; readonly report: HomeCode } | { readonly ok: false; readonly message: string } {
  const plain = typed.toUpperCase().replace(/[\s-]/g, '').replace(/O/g, '0').replace(/[IL]/g, '1');
  const wrong = { ok: false, message: 'This code is not right: a letter is mistyped or missing.' } as const;
  const numbers = [...plain].map((symbol) => SYMBOLS.indexOf(symbol));
  if (plain === '' || numbers.includes(-1)) return wrong;
  const all = numbers.map((number) => binary(number, SYMBOL_BITS)).join('');
  const bits = all.slice(0, -CHECK_BITS);
  if (checkOf(bits) !== all.slice(-CHECK_BITS)) return wrong;
  let from = 0;
  const take = (count: number): number => Number.parseInt(bits.slice(from, (from += count)) || '0', 2);
  const values = Object.fromEntries(Object.entries(BITS).map(([key, count]) => [key, take(count)])) as Record<
    keyof typeof BITS,
    number
  >;
  if (values.version !== VERSION)
    return { ok: false, message: 'This code is of another kind of file for home. Make the file anew.' };
  const bursts = Array.from({ length: values.bursts }, (): HomeBurst => ({
    lead: take(BURST_BITS.lead) === 0 ? 'left' : 'right',
    count: take(BURST_BITS.count),
  }));
  const length = Math.ceil(from / SYMBOL_BITS) * SYMBOL_BITS;
  if (length !== bits.length || values.finished > values.rounds || values.effort > 10 || values.hour > 23)
    return wrong;
  return {
    ok: true,
    report: {
      code: grouped(plain),
      at: FIRST_DAY + values.day * DAY + values.hour * HOUR,
      finished: values.finished,
      rounds: values.rounds,
      effort: values.effort === 0 ? null : values.effort,
      bursts,
      isOf: (what, id) => markOf(id, BITS[what]) === values[what],
    },
  };
}

/**
 * As `readHomeCode`, for the code of one fighter.
 *
 * @returns what it tells, or a sentence
 * @example
 * readCodeOf({ id: 'ines', name: 'Ines' }, 'nothing').ok // false
 */
export function readCodeOf(
  { id, name }: { readonly id: string; readonly name: string },
  typed: string,
): ReturnType<typeof readHomeCode> {
  const read = readHomeCode(typed);
  return !read.ok || read.report.isOf('fighter', id)
    ? read
    : { ok: false, message: `This code is not ${name}’s: it was made for somebody else.` };
}

const binary = (value: number, bits: number): string => value.toString(2).padStart(bits, '0');

const symbolsOf = (bits: string): string =>
  bits.replace(/.{5}/g, (five) => SYMBOLS[Number.parseInt(five, 2)]!);

const grouped = (symbols: string): string => symbols.match(new RegExp(`.{1,${IN_A_GROUP}}`, 'g'))!.join('-');

/** Tells nearly every letter that is mistyped, and letters that change places. */
const checkOf = (bits: string): string => binary(seedFromText(bits) % 2 ** CHECK_BITS, CHECK_BITS);
