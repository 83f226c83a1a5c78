import type { Seconds } from '../units/index.ts';

/** The clocks are compared over the pieces that came within this. */
const COMPARED: Seconds = 5;
/** Where all that came within this is later by so much, samples were lost: the machine was busy, or the device. */
const RECENT: Seconds = 1;
const LOST: Seconds = 0.015;
/** Of that time so much must have come, or it says nothing: what waited comes all at once. */
const ENOUGH: Seconds = 0.5;

interface Piece {
  readonly now: Seconds;
  readonly seconds: Seconds;
  readonly lag: Seconds;
}

/**
 * Puts samples that come in pieces on the clock of the device. A piece comes late, never early: the least lag of some seconds is the
 * nearest to that between the clocks. Where samples were lost all that comes is later from then on, and the clock follows.
 */
export class SampleClock {
  private readonly sampleRate: number;
  private count = 0;
  private pieces: Piece[] = [];
  private least = 0;
  private lostBefore = 0;

  /** `sampleRate` in hertz. */
  constructor(sampleRate: number) {
    this.sampleRate = sampleRate;
  }

  /** Takes a piece of so many samples whose last one was there at this instant of the clock of the device. */
  take(samples: number, now: Seconds): void {
    const before = this.pieces.at(-1);
    const seconds = samples / this.sampleRate;
    this.count += samples;
    this.pieces = this.pieces.filter((piece) => now - piece.now < COMPARED);
    this.pieces.push({ now, seconds, lag: now - this.count / this.sampleRate });
    this.least = leastOf(this.pieces);
    // What comes right behind another piece has waited with it, and so have those before it.
    if (!before || now - before.now < seconds / 2) return;
    const recent = this.pieces.filter((piece) => now - piece.now < RECENT);
    if (recent.reduce((sum, piece) => sum + piece.seconds, 0) < ENOUGH) return;
    const later = leastOf(recent) - this.least;
    if (later < LOST) return;
    this.lostBefore += later;
    this.pieces = recent;
    this.least += later;
  }

  /** When the first sample would have sounded had none been lost since. */
  get from(): Seconds {
    return this.least;
  }

  /** When the newest sample sounded. */
  get until(): Seconds {
    return this.count / this.sampleRate + this.least;
  }

  /** How much sound was lost so far. */
  get lost(): Seconds {
    return this.lostBefore;
  }
}

const leastOf = (pieces: readonly Piece[]): Seconds =>
  pieces.reduce((least, { lag }) => Math.min(least, lag), Infinity);
