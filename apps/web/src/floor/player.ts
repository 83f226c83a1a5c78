import type { SoundEvent } from '@eurhythm/core/rounds';
import type { RoundToPlay } from '@eurhythm/core/run';
import type { Seconds } from '@eurhythm/core/units';

/** The instant of a clock at which a round stands at 0. */
export type Anchor = { readonly clock: 'audio' | 'wall'; readonly zero: Seconds };

/** A sound that stands on the clock, and what takes it off again. */
export interface PlacedSound {
  readonly at: Seconds;
  readonly take: () => void;
}

/** Where the round that follows begins on the clock, and what of it stands there already. */
export interface HandOver {
  readonly anchor: Anchor;
  readonly placed: readonly PlacedSound[];
  readonly next: number;
}

/** What a player tells: it is over, came to where it was to be held, or the device slept and nothing went on meanwhile. */
export type PlayerEnd =
  { readonly kind: 'held' | 'slept' } | { readonly kind: 'over'; readonly handOver: HandOver };

/** What plays one round: `RoundPlayer`, or a stand-in. */
export interface Player {
  readonly round: RoundToPlay;
  readonly running: boolean;
  readonly position: Seconds;
  start(position: Seconds, beat?: Seconds): void;
  hold(): Seconds;
  holdAt(position: Seconds | null): void;
  swap(round: RoundToPlay, from: Seconds): void;
  /** Another round follows this one from now on. */
  follow(following: RoundToPlay | null): void;
  takeOver(handOver: HandOver): void;
  dispose(): void;
}

/** The sound output of the page: `AudioOutput`, or a stand-in. */
export interface SoundOutput {
  readonly audible: boolean;
  readonly latency: Seconds;
  wake(): void;
  load(ids: readonly string[], onShare: (share: number) => void): Promise<void>;
  play(event: SoundEvent, when: Seconds): () => void;
  close(): void;
}
