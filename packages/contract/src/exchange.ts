/** A rhythm taken from a file, as an empty line to be filled with moves. */
export interface RhythmView {
  readonly line: string;
  readonly bpm: number;
  /** Notes that found no room in a line. */
  readonly left: number;
}

/** Largest rhythm file that is read. */
export const RHYTHM_BYTES = 1_000_000;
