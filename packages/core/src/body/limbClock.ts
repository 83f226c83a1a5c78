import { toNumber, type Bpm, type Seconds } from '../units/index.ts';
import {
  factorOf,
  longestGap,
  neededGap,
  strokeTimes,
  togetherGap,
  type ClockSettings,
  type Times,
} from './pairGap.ts';
import { isStandingFoot } from './strokeFacts.ts';
import type { Walk, WalkedStroke } from './walkStance.ts';

/** The two strokes that need the most time between them, with the least gap and the reason. */
export interface ClockLimit {
  readonly fromStroke: number;
  readonly toStroke: number;
  /** Least time from the one impact to the other. */
  readonly seconds: Seconds;
  readonly reason: string;
}

export interface ClockResult {
  /**
   * Fastest tempo at which every gap is long enough, rounded down. Null when no tempo can save the line, which `limit`
   * then tells, and null without a limit when a single stroke has none.
   */
  readonly fastestBpm: Bpm | null;
  readonly limit: ClockLimit | null;
}

/** A switch of the feet on the spot, out and back: the call-back of the lead between two times through. */
const SWITCH: Times = { out: 0.2, back: 0.1 };

/**
 * Largest tempo at which the fighter's body can do every stroke in time, and the pair that holds it back.
 * The table holds for every pair and not only for neighbours: what lies between two strokes never makes them quicker,
 * and a limb or a standing leg may still be busy from further back.
 *
 * @example
 * limbClock(walk('1 2'), { factor: 1 }).fastestBpm > 60 // true
 */
export function limbClock(walk: Walk, settings: ClockSettings): ClockResult {
  const own = ownStrokes(walk);
  const tightest = new Tightest(longestGap(own, settings), settings);
  const at = movingBeats(own);
  for (let j = 1; j < own.length; j++)
    for (let i = j - 1; i >= 0; i--) if (!tightest.see(own[i]!, own[j]!, at[j]! - at[i]!)) break;
  return tightest.result();
}

/** What the fighter does, without what his standing foot does under a kick: that goes with the kick. */
function ownStrokes(walk: Walk): WalkedStroke[] {
  const own = walk.strokes.filter((stroke) => stroke.stroke.by === 'fighter');
  const goesWith = (stroke: WalkedStroke): boolean =>
    own.some((kick) => beatOf(kick) === beatOf(stroke) && isStandingFoot(kick, stroke));
  return own.filter((stroke) => stroke.move.limb !== 'feet' || !goesWith(stroke));
}

const beatOf = ({ beat }: WalkedStroke): number => toNumber(beat);

/** When each stroke comes if the clock stands while a position is held: nothing moves then. */
function movingBeats(own: readonly WalkedStroke[]): number[] {
  let held = 0;
  return own.map((stroke) => {
    const at = beatOf(stroke) - held;
    held += stroke.heldFor;
    return at;
  });
}

/** The tempo at which every pair that was seen has the time that it needs, and the pair that needs the most. */
class Tightest {
  private readonly longest: Seconds;
  private readonly settings: ClockSettings;
  private fastest = Infinity;
  private limit: ClockLimit | null = null;
  private isHopeless = false;

  constructor(longest: Seconds, settings: ClockSettings) {
    this.longest = longest;
    this.settings = settings;
  }

  /** So many beats from the one impact to the other. False when no pair that lies further apart can matter. */
  see(earlier: WalkedStroke, later: WalkedStroke, beats: number): boolean {
    if (this.isHopeless) return false;
    if (beats === 0) {
      const clash = togetherGap(earlier, later);
      if (!clash) return true;
      this.isHopeless = true;
      this.limit = limitOf(earlier, later, clash.seconds, clash.reason);
      return false;
    }
    if ((60 * beats) / this.longest >= this.fastest) return false;
    const { seconds, reason } = neededGap(earlier, later, this.settings);
    const bpm = (60 * beats) / seconds;
    if (bpm < this.fastest) {
      this.fastest = bpm;
      this.limit = limitOf(earlier, later, seconds, reason);
    }
    return true;
  }

  result(): ClockResult {
    const { limit, isHopeless, fastest } = this;
    return { fastestBpm: isHopeless || !limit ? null : Math.floor(fastest + 1e-9), limit };
  }
}

/** The fastest tempo at which a line can follow itself. */
export interface RepeatClock extends ClockResult {
  /** From the start of one time through to the next. */
  readonly beats: number;
}

/**
 * The largest tempo at which the strokes of one time through and those of the next keep the table, when one begins every
 * `beats`. A line that ends in the other lead is called back in between, which takes a switch of the feet.
 *
 * @param beats from the start of one time through to the start of the next
 *
 * @example
 * repeatClock(walk('r:round'), 4, { factor: 1 }).fastestBpm // 333
 */
export function repeatClock(walk: Walk, beats: number, settings: ClockSettings): RepeatClock {
  const own = ownStrokes(walk);
  const [first, last] = [own[0], own.at(-1)];
  if (!first || !last) return { beats, fastestBpm: null, limit: null };
  const tightest = new Tightest(longestGap(own, settings), settings);
  const at = movingBeats(own);
  const again = beats - own.reduce((sum, { heldFor }) => sum + heldFor, 0);
  for (const [j, later] of own.entries())
    for (let i = own.length - 1; i >= 0; i--)
      if (!tightest.see(own[i]!, later, again + at[j]! - at[i]!)) break;
  const straight = tightest.result();
  if (walk.end.lead === first.before.lead || (straight.fastestBpm === null && straight.limit))
    return { beats, ...straight };
  const factor = factorOf(settings, 'feet-feet');
  const change =
    (0.4 * strokeTimes(last, settings).back +
      SWITCH.out +
      0.6 * SWITCH.back +
      0.7 * strokeTimes(first, settings).out) *
    factor;
  const bpm = Math.floor((60 * (beats + beatOf(first) - beatOf(last))) / change + 1e-9);
  if (straight.fastestBpm !== null && straight.fastestBpm <= bpm) return { beats, ...straight };
  const reason = `the feet have to change back to ${first.before.lead} lead before it begins again`;
  return { beats, fastestBpm: bpm, limit: limitOf(last, first, change, reason) };
}

/**
 * The fastest tempo that is clean through the line and from one time through to the next, and which of the two it is;
 * null where nothing limits it, or nothing can save it.
 *
 * @example
 * cleanTempo({ fastestBpm: 120, limit: null, repeat: null }) // { bpm: 120, by: 'line' }
 */
export function cleanTempo({
  fastestBpm,
  limit,
  repeat,
}: ClockResult & { readonly repeat: RepeatClock | null }): {
  readonly bpm: Bpm;
  readonly by: 'line' | 'repeat';
} | null {
  if (fastestBpm === null && limit) return null;
  const again = repeat?.fastestBpm ?? null;
  if (fastestBpm !== null && (again === null || fastestBpm <= again)) return { bpm: fastestBpm, by: 'line' };
  return again === null ? null : { bpm: again, by: 'repeat' };
}

/**
 * The same of a line that is gone through every so many beats.
 *
 * @param beats from the start of one time through to the start of the next
 *
 * @example
 * cleanWhenRepeated(walk('1 2'), 4, { factor: 1 }).by // 'line'
 */
export function cleanWhenRepeated(
  walk: Walk,
  beats: number,
  settings: ClockSettings,
): ReturnType<typeof cleanTempo> {
  return cleanTempo({ ...limbClock(walk, settings), repeat: repeatClock(walk, beats, settings) });
}

function limitOf(from: WalkedStroke, to: WalkedStroke, seconds: Seconds, reason: string): ClockLimit {
  return { fromStroke: from.index, toStroke: to.index, seconds: Math.round(seconds * 1000) / 1000, reason };
}
