import type { Seconds } from '../units/index.ts';

/** What a phone's motion sensor says: acceleration in m/s², with gravity or without. */
export interface MotionSample {
  readonly at: Seconds;
  readonly x: number;
  readonly y: number;
  readonly z: number;
}

export interface MotionStrike {
  readonly at: Seconds;
  /** The greatest change of acceleration, in m/s³. */
  readonly strength: number;
}

/** A change slower than this, in m/s³, is the swing of a bag or a walk with the phone. */
const LEAST_JERK = 250;
/** A strike changes the acceleration by at least this share of what the usual strike does; what follows it rings. */
const SHARE_OF_USUAL = 0.15;
/** And by more than what is left of the one before, which dies away in so long. */
const RINGS: Seconds = 0.07;
const SHARE_OF_RING = 0.9;
/** Nobody strikes one bag twice in less. */
const REFRACTORY: Seconds = 0.11;
/** The usual strike is learnt from this share of each. */
const LEARNS = 0.2;
/** Sensors pause: what lies farther apart says nothing of a change. */
const PAUSE: Seconds = 0.25;

/**
 * Hears strikes by the motion of a phone that is taped to the bag or lies in the pad: a strike is where the acceleration changes
 * fastest. Samples come one by one, at 30 a second or more.
 */
export class MotionDetector {
  private last: MotionSample | null = null;
  private before: { readonly at: Seconds; readonly jerk: number } | null = null;
  private isRising = false;
  private usual = 0;
  private strike: MotionStrike | null = null;

  /** Gives the strike that is known with this sample, which is the one before it, or null. A sample that is not later is left out. */
  push(sample: MotionSample): MotionStrike | null {
    const { last } = this;
    if (last && sample.at <= last.at) return null;
    this.last = sample;
    if (!last || sample.at - last.at > PAUSE) {
      this.before = null;
      return null;
    }
    const jerk = Math.hypot(sample.x - last.x, sample.y - last.y, sample.z - last.z) / (sample.at - last.at);
    if (!Number.isFinite(jerk)) return null;
    const { before, isRising } = this;
    this.isRising = before === null || jerk > before.jerk;
    this.before = { at: last.at, jerk };
    return before && isRising && !this.isRising ? this.peak(before) : null;
  }

  private peak({ at, jerk }: { readonly at: Seconds; readonly jerk: number }): MotionStrike | null {
    const since = this.strike ? at - this.strike.at : Infinity;
    const ring = this.strike ? SHARE_OF_RING * this.strike.strength * Math.exp(-since / RINGS) : 0;
    if (since < REFRACTORY || jerk < Math.max(LEAST_JERK, SHARE_OF_USUAL * this.usual, ring)) return null;
    this.usual = this.usual === 0 ? jerk : this.usual + LEARNS * (jerk - this.usual);
    this.strike = { at, strength: jerk };
    return this.strike;
  }
}
