import type { Seconds } from '../units/index.ts';

/** A strike in a table. */
export interface TableOnset {
  readonly at: Seconds;
  readonly strength?: number;
  readonly doubtful?: boolean;
}

/** More than this is no list of strikes. */
const MOST_LINES = 20_000;

/**
 * Strikes as CSV (RFC 4180): when each came, in seconds; how strong; whether it is doubtful.
 *
 * @example
 * onsetsCsv([{ at: 1.5 }]) // 'at_seconds,strength,doubtful\r\n1.500,,no\r\n'
 */
export function onsetsCsv(onsets: readonly TableOnset[]): string {
  const lines = onsets.map(
    ({ at, strength, doubtful }) =>
      `${at.toFixed(3)},${strength === undefined ? '' : strength.toFixed(1)},${doubtful === true ? 'yes' : 'no'}`,
  );
  return ['at_seconds,strength,doubtful', ...lines, ''].join('\r\n');
}

export type ReadTimes =
  | { readonly ok: true; readonly onsets: readonly TableOnset[] }
  | { readonly ok: false; readonly message: string };

/**
 * Reads a table of times: one strike a line, the time first, in seconds or as minutes and seconds, with a point or a comma; columns
 * with commas, semicolons or tabs between; a line of names may come first. What `onsetsCsv` writes is read as it was.
 *
 * @example
 * readTimes('0:01.5\n2').ok // true
 */
export function readTimes(text: string): ReadTimes {
  const lines = text.replace(/^\uFEFF/, '').split(/\r\n|\r|\n/);
  if (lines.length > MOST_LINES) return { ok: false, message: `A table holds at most ${MOST_LINES} lines.` };
  const between = lines.some((line) => line.includes('\t'))
    ? '\t'
    : lines.some((line) => line.includes(';'))
      ? ';'
      : ',';
  const onsets: TableOnset[] = [];
  for (const [i, line] of lines.entries()) {
    if (line.trim() === '') continue;
    const [time = '', strength = '', doubtful = ''] = line
      .split(between)
      .map((cell) => cell.trim().replace(/^"(.*)"$/, '$1'));
    const at = secondsOf(time);
    if (at === null) {
      // Names of columns.
      if (onsets.length === 0 && /[a-z]/i.test(time)) continue;
      return {
        ok: false,
        message: `Line ${i + 1} begins with “${time.slice(0, 30)}”, which is no time in seconds.`,
      };
    }
    const strong = strength === '' ? NaN : Number(strength.replace(',', '.'));
    onsets.push({
      at,
      ...(Number.isFinite(strong) ? { strength: strong } : {}),
      ...(/^(yes|true|1)$/i.test(doubtful) ? { doubtful: true } : {}),
    });
  }
  if (onsets.length === 0) return { ok: false, message: 'There is no time in this table.' };
  return { ok: true, onsets: onsets.sort((a, b) => a.at - b.at) };
}

function secondsOf(text: string): Seconds | null {
  const read = /^(?:(?:(\d+):)?(\d+):)?(\d+(?:[.,]\d+)?)$/.exec(text);
  if (!read) return null;
  const [, hours = '0', minutes = '0', seconds = '0'] = read;
  return 3600 * Number(hours) + 60 * Number(minutes) + Number(seconds.replace(',', '.'));
}
