import { median } from 'simple-statistics';
import type { Bpm, Seconds } from '../../units/index.ts';

/** A line as far as it can be heard: the beats of its impacts, in order. */
export interface HeardLine {
  readonly id: string;
  readonly beats: readonly number[];
}

/** One time through a line, as it was found among what was heard. */
export interface FoundTime {
  /** Place of its first onset; the others follow it one by one. */
  readonly from: number;
  /** When its strikes would have been due, at the tempo that was found. */
  readonly due: readonly Seconds[];
}

/** How well a line fits to what was heard. */
export interface LineFit {
  readonly id: string;
  readonly bpm: Bpm;
  readonly times: readonly FoundTime[];
  /** The share of the gaps between strikes that it explains, 0 to 1: by that lines are told apart. */
  readonly share: number;
  /** The share of the strikes that belong to a time through it. */
  readonly covered: number;
  /** The usual distance from the line. */
  readonly off: Seconds;
}

/** Nobody strikes a line slower or faster. */
const TEMPO = { least: 30, most: 240 } as const;
/** No strike of a time through is farther from its place, and in the mean none is so far. */
const FARTHEST: Seconds = 0.12;
const FARTHEST_MEAN: Seconds = 0.06;
/** Tempos that lie within this share of each other are one. */
const SAME_TEMPO = 0.06;

/**
 * Finds a line among onsets, at a tempo that is reported or is to be found; null where it is nowhere. A line with fewer than two impacts
 * cannot be distinguished from any other.
 *
 * @example
 * findLine([0, 0.5, 1], { id: 'a', beats: [0, 1, 2] })?.bpm // 120
 */
export function findLine(onsets: readonly Seconds[], line: HeardLine, bpm?: Bpm): LineFit | null {
  const count = line.beats.length;
  if (count < 2 || onsets.length < count) return null;
  const tempos = bpm === undefined ? temposOf(onsets, line) : [60 / bpm];
  let best: LineFit | null = null;
  for (const beat of tempos) {
    const fit = fitAt(onsets, line, beat);
    if (fit && (!best || fit.share > best.share || (fit.share === best.share && fit.off < best.off)))
      best = fit;
  }
  return best;
}

/** So many lines are proposed. */
const PROPOSED = 3;

/**
 * The lines that fit best what was heard, the best first: at any tempo, or at the one that is given.
 *
 * @param bpm beats a minute; looked for if it is not given
 *
 * @example
 * findLines([0, 0.5, 1], [{ id: 'a', beats: [0, 1, 2] }, { id: 'b', beats: [0, 1] }]).map(({ id }) => id) // ['a', 'b']
 */
export function findLines(onsets: readonly Seconds[], lines: readonly HeardLine[], bpm?: Bpm): LineFit[] {
  return lines
    .flatMap((line) => findLine(onsets, line, bpm) ?? [])
    .sort((a, b) => b.share - a.share || a.off - b.off)
    .slice(0, PROPOSED);
}

/** Lines that are within so much of each other cannot be told apart (our own choice): a share of the strikes, and seconds. */
const ALIKE = { covered: 0.02, off: 0.005 } as const;

/**
 * Whether two lines fit equally, so that only somebody who was there can say which one it was.
 *
 * @example
 * fitAlike({ covered: 0.9, off: 0.02 }, { covered: 0.91, off: 0.021 }) // true
 */
export function fitAlike(
  one: Pick<LineFit, 'covered' | 'off'>,
  other: Pick<LineFit, 'covered' | 'off'>,
): boolean {
  return Math.abs(one.covered - other.covered) <= ALIKE.covered && Math.abs(one.off - other.off) <= ALIKE.off;
}

/** Lengths of a beat at which some stretch of the onsets is this line, those that most stretches agree on first. */
function temposOf(onsets: readonly Seconds[], { beats }: HeardLine): Seconds[] {
  const found: Seconds[] = [];
  for (let i = 0; i + beats.length <= onsets.length; i++) {
    const { slope, worst } = fitted(onsets.slice(i, i + beats.length), beats);
    if (isTempo(slope) && worst < FARTHEST) found.push(slope);
  }
  const sorted = found.sort((a, b) => a - b);
  const groups: Seconds[][] = [];
  for (const slope of sorted) {
    const group = groups.at(-1);
    if (group && slope < group[0]! * (1 + SAME_TEMPO)) group.push(slope);
    else groups.push([slope]);
  }
  return groups
    .sort((a, b) => b.length - a.length)
    .slice(0, 6)
    .map((group) => median(group));
}

const isTempo = (beat: Seconds): boolean => beat >= 60 / TEMPO.most && beat <= 60 / TEMPO.least;

/** Times through at one tempo, from the first onset on; each onset belongs to one of them at most. */
function fitAt(onsets: readonly Seconds[], { id, beats }: HeardLine, beat: Seconds): LineFit | null {
  const times: FoundTime[] = [];
  const off: Seconds[] = [];
  for (let i = 0; i + beats.length <= onsets.length;) {
    const stretch = onsets.slice(i, i + beats.length);
    const start = stretch.reduce((sum, at, k) => sum + at - beat * beats[k]!, 0) / beats.length;
    const due = beats.map((each) => start + beat * each);
    const errors = stretch.map((at, k) => Math.abs(at - due[k]!));
    const mean = errors.reduce((sum, each) => sum + each, 0) / errors.length;
    if (mean < FARTHEST_MEAN && Math.max(...errors) < FARTHEST) {
      times.push({ from: i, due });
      off.push(mean);
      i += beats.length;
    } else i += 1;
  }
  if (times.length === 0) return null;
  // From one time to the next anything may lie: only the gaps within are explained.
  const share = (times.length * (beats.length - 1)) / (onsets.length - 1);
  const covered = (times.length * beats.length) / onsets.length;
  return { id, bpm: 60 / beat, times, share, covered, off: median(off) };
}

/** The straight line through onsets over beats. */
function fitted(onsets: readonly Seconds[], beats: readonly number[]): { slope: Seconds; worst: Seconds } {
  const n = beats.length;
  const x = beats.reduce((sum, each) => sum + each, 0) / n;
  const y = onsets.reduce((sum, each) => sum + each, 0) / n;
  const across = beats.reduce((sum, each) => sum + (each - x) ** 2, 0);
  const slope = beats.reduce((sum, each, k) => sum + (each - x) * (onsets[k]! - y), 0) / (across || 1);
  const worst = Math.max(...onsets.map((at, k) => Math.abs(at - y - slope * (beats[k]! - x))));
  return { slope, worst };
}
