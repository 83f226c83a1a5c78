import type { Seconds } from '../units/index.ts';

/** Pieces are put together that came within this; the clocks are compared over so many of those, some five seconds. */
const TOGETHER: Seconds = 0.25;
const COMPARED = 20;
/** Where all that came in the last few of those, about a second, is later by so much, samples were lost: the machine was busy, or the device. */
const RECENT = 4;
const LOST: Seconds = 0.015;
/** Of that time so much must have come, or it says nothing: what waited comes all at once. */
const ENOUGH: Seconds = 0.5;
/** What had only waited comes as early as before again within so long; what is lost never does. */
const COMES_BACK: Seconds = 10;

/** Sound that never came. */
export interface Loss {
  /** Behind so much sound that did come. */
  readonly at: Seconds;
  readonly seconds: Seconds;
}

interface KnownLoss {
  readonly at: Seconds;
  seconds: Seconds;
  /** When it showed. */
  readonly known: Seconds;
}

/** Pieces that came one after the other. */
interface Stretch {
  readonly began: Seconds;
  /** How much had come before. */
  readonly from: Seconds;
  /** How much came. */
  seconds: Seconds;
  leastLag: Seconds;
}

/**
 * Puts samples that come in pieces on the clock of the device. A piece comes late, never early: the least lag of some seconds is the
 * nearest to that between the clocks. Where samples were lost all that comes is later from then on; that shows about a second
 * later, and the clock knows from where on then. Where it comes earlier again soon, it had only waited, and nothing was lost.
 */
export class SampleClock {
  private readonly sampleRate: number;
  private count = 0;
  private stretches: Stretch[] = [];
  private last: Seconds = -Infinity;
  private least = 0;
  private readonly lostBefore: KnownLoss[] = [];

  /** `sampleRate` in hertz. */
  constructor(sampleRate: number) {
    this.sampleRate = sampleRate;
  }

  /** Takes a piece of so many samples whose last one was there at this instant of the clock of the device. */
  take(samples: number, now: Seconds): void {
    const seconds = samples / this.sampleRate;
    this.count += samples;
    this.keep(now, seconds);
    const least = leastOf(this.stretches);
    this.takeBack(this.least - least, now);
    this.least = least;
    // What comes right behind another piece has waited with it, and so have those before it.
    const hasWaited = now - this.last < seconds / 2;
    this.last = now;
    if (hasWaited) return;
    const recent = this.stretches.slice(-RECENT).filter(({ began }) => now - began <= RECENT * TOGETHER);
    if (recent.reduce((sum, stretch) => sum + stretch.seconds, 0) < ENOUGH) return;
    const later = leastOf(recent) - this.least;
    if (later < LOST) return;
    this.lostBefore.push({ at: recent[0]!.from, seconds: later, known: now });
    this.stretches = recent;
    this.least += later;
  }

  /** The instant of the first sample, counted back from the newest: later than it was by what was lost since. */
  get from(): Seconds {
    return this.least;
  }

  /** The instant at which sound was heard that comes behind so much of it. */
  instantOf(at: Seconds): Seconds {
    let instant = at + this.least;
    for (let i = this.lostBefore.length - 1; i >= 0 && this.lostBefore[i]!.at > at; i--)
      instant -= this.lostBefore[i]!.seconds;
    return instant;
  }

  /** When the newest sample sounded. */
  get until(): Seconds {
    return this.count / this.sampleRate + this.least;
  }

  /** What was lost so far. */
  get losses(): readonly Loss[] {
    return this.lostBefore;
  }

  /** How much sound was lost so far. */
  get lost(): Seconds {
    return this.lostBefore.reduce((sum, { seconds }) => sum + seconds, 0);
  }

  /** What was taken to be lost, as far as it came so much earlier than behind a loss. */
  private takeBack(earlier: Seconds, now: Seconds): void {
    for (let left = earlier; left > 0;) {
      const last = this.lostBefore.at(-1);
      if (!last || now - last.known > COMES_BACK) return;
      const back = Math.min(left, last.seconds);
      last.seconds -= back;
      left -= back;
      if (last.seconds === 0) this.lostBefore.pop();
    }
  }

  private keep(now: Seconds, seconds: Seconds): void {
    const until = this.count / this.sampleRate;
    const lag = now - until;
    const stretch = this.stretches.at(-1);
    if (stretch && now - stretch.began < TOGETHER) {
      stretch.seconds += seconds;
      stretch.leastLag = Math.min(stretch.leastLag, lag);
      return;
    }
    this.stretches.push({ began: now, from: until - seconds, seconds, leastLag: lag });
    if (this.stretches.length > COMPARED) this.stretches.shift();
  }
}

function leastOf(stretches: readonly Stretch[]): Seconds {
  let least = Infinity;
  for (const { leastLag } of stretches) if (leastLag < least) least = leastLag;
  return least;
}
