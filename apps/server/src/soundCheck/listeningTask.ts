/** A call with the WAV file that says it. */
export interface SpokenCall {
  readonly text: string;
  readonly wav: string;
}

export interface ListeningTask {
  /** Everything that a call may be taken for. */
  readonly phrases: readonly string[];
  /** How words are said that English does not know. */
  readonly phones: ReadonlyMap<string, readonly string[]>;
  /** What is listened to. */
  readonly calls: readonly SpokenCall[];
}

/** Each call is said so many times, each time in other noise. */
export const TIMES_SAID = 2;
