import { LINE_LIMITS, formatLine, type Entry, type Stroke } from '../line/index.ts';
import {
  BPM_LIMITS,
  ONE,
  equals,
  fraction,
  subtract,
  toNumber,
  type Beats,
  type Bpm,
} from '../units/index.ts';

/** What stands for a move that is still to be chosen: the guard, which does nothing. */
export const PLACEHOLDER = 'guard';

export interface RhythmLine {
  readonly line: string;
  /** Notes that had no room in the line any more. */
  readonly left: number;
  /** Parts of a beat on which the notes were put. */
  readonly grid: number;
  /** The notes that are in the line, in beats: where each was played, and where it is written. */
  readonly notes: readonly { readonly played: number; readonly written: number }[];
}

/** Grids that a coach may choose: whole beats, halves, thirds and so on. */
export const RHYTHM_GRIDS = [1, 2, 3, 4, 6, 8, 12, 16] as const;
export type RhythmGrid = (typeof RHYTHM_GRIDS)[number];

const EMPTY_STROKE: Stroke = {
  kind: 'stroke',
  word: PLACEHOLDER,
  by: 'fighter',
  side: null,
  feint: false,
  conditional: false,
  keptUp: false,
  level: null,
  step: null,
  power: 'normal',
  shout: false,
  from: 0,
  to: 0,
};

/**
 * A rhythm as an empty beat line: a placeholder on each note, the gaps as fractions of a beat on one grid of up to
 * sixteenths. `beats` are the places of the notes, rising; notes at one place count once. Long silences become rests. What is
 * beyond the length of a line is left. With `wanted` they are put on that grid, as a rhythm that somebody played needs it.
 *
 * @example
 * rhythmLine([fraction(0), fraction(1), fraction(3, 2)]).line // 'guard guard-guard'
 */
export function rhythmLine(beats: readonly Beats[], wanted?: RhythmGrid): RhythmLine {
  const notes = beats.filter((beat, i) => i === 0 || !equals(beat, beats[i - 1]!));
  // No more than a line holds are looked at, however many there are.
  const looked = notes.slice(0, LINE_LIMITS.strokes + 1);
  const grid = wanted ?? gridOf(looked);
  const onGrid = looked.map((beat) => fraction(Math.round(toNumber(beat) * grid), grid));
  const notesUpTo = (last: Beats | undefined): RhythmLine['notes'] =>
    looked
      .map((beat, i) => ({ played: toNumber(beat), written: toNumber(onGrid[i]!) }))
      .filter(({ written }) => last !== undefined && written <= toNumber(last));
  const places = onGrid.filter((beat, i, all) => i === 0 || !equals(beat, all[i - 1]!));
  let entries: Entry[] = [];
  for (const [i, place] of places.entries()) {
    const gap = i === 0 ? null : subtract(place, places[i - 1]!);
    // A rest for each beat of a longer silence would fill the line alone.
    const isFar = gap !== null && toNumber(gap) > LINE_LIMITS.characters;
    const grown = isFar ? entries : [...entries, ...entriesFor(gap)];
    const isTooLong =
      isFar ||
      i >= LINE_LIMITS.strokes ||
      formatLine({ entries: grown, tail: [] }).length > LINE_LIMITS.characters;
    if (isTooLong)
      return {
        line: formatLine({ entries, tail: [] }),
        left: notes.length - i,
        grid,
        notes: notesUpTo(places[i - 1]),
      };
    entries = grown;
  }
  return { line: formatLine({ entries, tail: [] }), left: 0, grid, notes: notesUpTo(places.at(-1)) };
}

/** The next placeholder behind a gap: written as one gap where it can be, else with rests that stand in place of it. */
function entriesFor(gap: Beats | null): Entry[] {
  const entry = (item: Entry['item'], before: Entry['gap']): Entry => ({ gap: before, comments: [], item });
  if (gap === null) return [entry(EMPTY_STROKE, null)];
  if (gap.n <= LINE_LIMITS.gapPart.max) return [entry(EMPTY_STROKE, { kind: 'beats', beats: gap })];
  // The gap up to the first rest takes what is no whole beat, or one beat; the rests take the others.
  const wholes = Math.ceil(toNumber(gap) - 1e-9) - 1;
  const first = subtract(gap, fraction(wholes));
  return [
    ...Array.from({ length: wholes }, (_, i) =>
      entry({ kind: 'rest', beats: ONE, from: 0, to: 0 }, i === 0 ? { kind: 'beats', beats: first } : null),
    ),
    entry(EMPTY_STROKE, null),
  ];
}

/** Notes this close to the grid lie on it: a twentieth of what separates the finest notes of a line. */
const ON_GRID = 1 / 320;

/**
 * The grid of the whole rhythm, since a gap between places of different grids may not be writable: the coarsest of whole, half …
 * sixteenth beats on which all of them lie, else the one that is nearest to them.
 */
function gridOf(beats: readonly Beats[]): number {
  const offGrid = (d: number): number =>
    Math.max(0, ...beats.map((beat) => Math.abs(Math.round(toNumber(beat) * d) / d - toNumber(beat))));
  const grids = Array.from({ length: LINE_LIMITS.gapPart.max }, (_, i) => i + 1);
  return (
    grids.find((d) => offGrid(d) <= ON_GRID) ??
    grids.reduce((best, each) => (offGrid(each) < offGrid(best) ? each : best))
  );
}

/**
 * How many beats of a file are one beat of a line, by doubling or halving, so that its tempo is one that a combo may have.
 *
 * @example
 * beatsAsOne(400) // 2
 * beatsAsOne(90) // 1
 */
export function beatsAsOne(bpm: Bpm): number {
  let beats = 1;
  while (bpm / beats > BPM_LIMITS.max) beats *= 2;
  while (bpm > 0 && bpm / beats < BPM_LIMITS.min) beats /= 2;
  return beats;
}
