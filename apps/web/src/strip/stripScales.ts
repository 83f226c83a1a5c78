import type { Level } from '@eurhythm/core/moves';

/** Measures of a strip in pixels. */
export interface StripScale {
  readonly leastBeat: number;
  readonly mostBeat: number;
  /** Room before the first beat, for the footprints. */
  readonly left: number;
  readonly right: number;
  /** Height of a pin's head above the tape. */
  readonly heights: Readonly<Record<Level, number>>;
  readonly head: number;
  readonly tape: number;
  /** Room above the highest head, for its label and a shout. */
  readonly top: number;
  /** Room below the tape, for lead changes and the holder. */
  readonly below: number;
  readonly label: number;
}

export const STRIP_SCALES: Readonly<Record<'row' | 'wall' | 'lane' | 'bench' | 'mat', StripScale>> = {
  row: {
    leastBeat: 9,
    mostBeat: 34,
    left: 5,
    right: 5,
    heights: { head: 20, body: 13, low: 7 },
    head: 3,
    tape: 4,
    top: 5,
    below: 1,
    label: 0,
  },
  wall: {
    leastBeat: 30,
    mostBeat: 74,
    left: 62,
    right: 14,
    heights: { head: 70, body: 46, low: 25 },
    head: 7.5,
    tape: 16,
    top: 26,
    below: 44,
    label: 12.5,
  },
  bench: {
    leastBeat: 56,
    mostBeat: 128,
    left: 76,
    right: 26,
    heights: { head: 148, body: 96, low: 50 },
    head: 13,
    tape: 36,
    top: 44,
    below: 80,
    label: 15,
  },
  lane: {
    leastBeat: 46,
    mostBeat: 110,
    left: 122,
    right: 14,
    heights: { head: 88, body: 58, low: 32 },
    head: 12,
    tape: 26,
    top: 42,
    below: 54,
    label: 28,
  },
  mat: {
    leastBeat: 72,
    mostBeat: 190,
    left: 110,
    right: 30,
    heights: { head: 122, body: 80, low: 44 },
    head: 16,
    tape: 38,
    top: 42,
    below: 54,
    label: 28,
  },
};
