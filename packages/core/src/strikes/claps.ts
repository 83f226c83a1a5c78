import { filterOf, highPass, lowPass } from '../sound/index.ts';
import type { Seconds } from '../units/index.ts';

/** Loudness is looked at in pieces of this length. */
const PIECE: Seconds = 0.005;
/** A clap is mostly above 2 kHz; the thud of a pad, a bag or a foot is mostly below 400 Hz. */
const HIGH_FROM = 2000;
const LOW_TO = 400;
/** Quality of a filter of the second order that is as flat as may be. */
const BUTTERWORTH = Math.SQRT1_2;
/** Least energy of the high part, as a share of the low one. */
const LEAST_HIGH = 1;
/** Quieter than this (mean square, −40 dBFS) is not meant. */
const LEAST_LOUD = 10 ** (-40 / 10);
/** A clap is so much louder than the room (15 dB) and than what was 10 ms before (8 dB). */
const OVER_ROOM = 10 ** (15 / 10);
const RISE = 10 ** (8 / 10);
/** It is over soon: 120 ms later so much less of it is left (8 dB), also in a hall with an echo. */
const OVER_AFTER: Seconds = 0.12;
const GONE = 10 ** (-8 / 10);
/** Its parts are told apart from one another after this. */
const REFRACTORY: Seconds = 0.1;
/** Two claps that belong together. */
const APART: { readonly min: Seconds; readonly max: Seconds } = { min: 0.15, max: 0.6 };
/** Nothing else is heard so long before and behind them. */
const ALONE: Seconds = 0.6;
/** The room is what was heard in about the last two seconds. */
const ROOM: Seconds = 2;
/** What is louder than so many times the room is reported as so much. */
const LOUDER = 4;

/** A sudden sound that may be a clap. */
interface Burst {
  readonly at: Seconds;
  peak: number;
  low: number;
  isClap: boolean | null;
}

/**
 * Hears two loud claps, which stand alone, in a stream of samples. It takes what is heard in pieces of any length, and finds the
 * same in each.
 */
export class ClapDetector {
  private readonly high: (sample: number) => number;
  private readonly low: (sample: number) => number;
  private readonly size: number;
  private readonly pieceSeconds: Seconds;
  private filled = 0;
  private highSum = 0;
  private lowSum = 0;
  private wasMuted = false;
  private pieces = 0;
  private room = LEAST_LOUD / OVER_ROOM;
  private last: [number, number] = [0, 0];
  private bursts: Burst[] = [];

  /** `sampleRate` in hertz, from 8,000 on. */
  constructor(sampleRate: number) {
    this.size = Math.max(1, Math.round(PIECE * sampleRate));
    this.pieceSeconds = this.size / sampleRate;
    this.high = filterOf(highPass(HIGH_FROM, sampleRate, BUTTERWORTH));
    this.low = filterOf(lowPass(LOW_TO, sampleRate, BUTTERWORTH));
  }

  /**
   * Takes the next samples, −1 to 1; what comes while this device sounds itself is muted and counts as nothing.
   *
   * @returns the instants at which two claps began, in seconds from the first sample on; each is known a little later
   */
  push(samples: ArrayLike<number>, isMuted = false): Seconds[] {
    const found: Seconds[] = [];
    for (let i = 0; i < samples.length; i++) {
      const sample = samples[i]!;
      const high = this.high(sample);
      const low = this.low(sample);
      this.highSum += high * high;
      this.lowSum += low * low;
      this.wasMuted ||= isMuted;
      this.filled += 1;
      if (this.filled < this.size) continue;
      const pair = this.piece(this.highSum / this.size, this.lowSum / this.size, this.wasMuted);
      if (pair !== null) found.push(pair);
      this.filled = 0;
      this.highSum = 0;
      this.lowSum = 0;
      this.wasMuted = false;
    }
    return found;
  }

  private piece(high: number, low: number, isMuted: boolean): Seconds | null {
    const now = this.pieces * this.pieceSeconds;
    this.pieces += 1;
    if (isMuted) {
      this.bursts = [];
      this.last = [high, high];
      return null;
    }
    const newest = this.bursts.at(-1);
    const since = newest ? now - newest.at : Infinity;
    const isSudden =
      high > LEAST_LOUD && high > this.room * OVER_ROOM && high > this.last[0] * RISE && since > REFRACTORY;
    if (isSudden) this.bursts.push({ at: now, peak: high, low, isClap: null });
    else if (newest && since < 4 * PIECE) {
      newest.peak = Math.max(newest.peak, high);
      newest.low = Math.max(newest.low, low);
    } else if (newest && newest.isClap === null && since >= OVER_AFTER)
      newest.isClap = high < newest.peak * GONE && newest.peak > newest.low * LEAST_HIGH;
    // What is sudden says little of the room, and so does its echo.
    const capped = Math.min(high, LOUDER * this.room);
    this.room += (capped - this.room) * (this.pieceSeconds / ROOM);
    this.last = [this.last[1], high];
    return this.pairAt(now);
  }

  /** The pair that has been alone for long enough now. */
  private pairAt(now: Seconds): Seconds | null {
    const newest = this.bursts.at(-1);
    if (!newest || now - newest.at < ALONE) return null;
    const [first, second, ...more] = this.bursts;
    this.bursts = [];
    if (!first?.isClap || !second?.isClap || more.length > 0) return null;
    const apart = second.at - first.at;
    return apart >= APART.min && apart <= APART.max ? first.at : null;
  }
}
