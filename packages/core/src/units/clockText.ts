import type { Seconds } from './quantities.ts';

const twoDigits = (n: number): string => String(n).padStart(2, '0');

/**
 * A length as minutes and seconds, cut to whole seconds; hours where there are any; never negative.
 *
 * @example
 * clockText(125) // '2:05'
 * clockText(3600) // '1:00:00'
 */
export function clockText(seconds: Seconds): string {
  const whole = Math.max(0, Math.floor(seconds));
  const [hours, minutes] = [Math.floor(whole / 3600), Math.floor(whole / 60) % 60];
  const rest = twoDigits(whole % 60);
  return hours > 0 ? `${hours}:${twoDigits(minutes)}:${rest}` : `${minutes}:${rest}`;
}

/** A frame that is drawn this much late does not show a second more. */
const LATE: Seconds = 0.02;

/**
 * The whole seconds that are left, as somebody counts them down: the last one is 1, and 0 is over.
 *
 * @example
 * secondsLeft(4.3) // 5
 */
export function secondsLeft(left: Seconds): Seconds {
  return Math.max(0, Math.ceil(left - LATE));
}

/**
 * An instant to the tenth of a second, rounded.
 *
 * @example
 * clockTextToTenths(65.25) // '1:05.3'
 */
export function clockTextToTenths(seconds: Seconds): string {
  const tenths = Math.max(0, Math.round(seconds * 10));
  return `${clockText(tenths / 10 + 1e-9)}.${tenths % 10}`;
}

/**
 * Reads "2:05", "125" or "1:00:00" as seconds; null when it is none of these.
 *
 * @example
 * secondsFromClock('2:05') // 125
 */
export function secondsFromClock(text: string): Seconds | null {
  if (!/^\d{1,4}(:\d{1,2}){0,2}$/.test(text.trim())) return null;
  return text
    .trim()
    .split(':')
    .reduce((sum, part) => sum * 60 + Number(part), 0);
}
