import type { Seconds } from '../../units/index.ts';
import { cutOut, type CutSound } from '../shape/cutOut.ts';
import type { Sound } from '../wav.ts';
import { quietRoom, type QuietRoom } from './quietRoom.ts';

/** What is so far over the room, and no further under the loudest moment, is surely the voice. */
const SURE = { overRoomDb: 9, underPeakDb: 25 } as const;
/** From there it goes on for as long as it is so far over the room. */
const STILL = { overRoomDb: 4, underPeakDb: 38 } as const;
/** Words of one call are no further apart. */
const LONGEST_PAUSE: Seconds = 0.35;
/** What is shorter is a click, a breath or a step. */
const SHORTEST: Seconds = 0.06;
/** Nothing at all: no frame's power in the voice's band is above this, in dBFS. */
const NOTHING_DB = -75;

/** Where a recording begins or ends within its call. */
export const CUT_OFFS = ['start', 'end'] as const;
export type CutOff = (typeof CUT_OFFS)[number];

/** A voice that stands less far over its room, in decibels, is told to be hard to make out. */
export const LOUD_ROOM_DB = 15;

/** A call as it was found in a recording: cut to it, with the room turned down. */
export interface SpokenCall extends CutSound {
  /** How far the voice stands over the room, in decibels from 0 on, in the voice's band; Infinity where there is no room to be heard. */
  readonly overRoom: number;
  /** Where the recording begins or ends within the call. */
  readonly cutOff: CutOff | null;
}

/** Why there is no call in a recording. */
export type NoCall = 'silent' | 'click' | 'noise';

/**
 * Finds the call in a recording made in a room: what stands over the room's own noise, by two thresholds, so that a soft end is
 * kept and a click far away is not.
 *
 * @example
 * spokenCall({ sampleRate: 16_000, samples: new Float32Array(8000) }) // 'silent'
 */
export function spokenCall(recorded: Sound): SpokenCall | NoCall {
  const quiet = quietRoom(recorded);
  const { sound, after, before, room, hop } = quiet;
  const peak = after.reduce((most, power) => Math.max(most, power), 0);
  if (toDb(before.reduce((most, power) => Math.max(most, power), 0)) < NOTHING_DB) return 'silent';
  const frames = voicedSpan(quiet, peak, sound.sampleRate / hop);
  if (typeof frames === 'string') return frames;
  const [first, last] = frames;
  const said = mean(before.subarray(first, last + 1));
  return {
    ...cutOut(sound, first * hop, (last + 1) * hop),
    overRoom: room.before > 0 ? toDb(Math.max(said - room.before, room.before) / room.before) : Infinity,
    cutOff: cutOffOf(after, over(SURE, quiet, peak)),
  };
}

/** The power from which on a frame is the voice. */
function over(
  { overRoomDb, underPeakDb }: typeof SURE | typeof STILL,
  { room }: QuietRoom,
  peak: number,
): number {
  return Math.max(room.after * fromDb(overRoomDb), peak * fromDb(-underPeakDb));
}

/** A recording that begins or ends at full voice lacks a part of the call. */
function cutOffOf(powers: Float64Array, sure: number): CutOff | null {
  const isFull = (power: number | undefined): boolean => (power ?? 0) >= sure;
  return isFull(powers[1]) ? 'start' : isFull(powers.at(-2)) ? 'end' : null;
}

/** First and last frame of the call. */
function voicedSpan(
  quiet: QuietRoom,
  peak: number,
  framesPerSecond: number,
): readonly [number, number] | 'click' | 'noise' {
  const { after } = quiet;
  const [sure, still] = [over(SURE, quiet, peak), over(STILL, quiet, peak)];
  const runs: { from: number; to: number; power: number }[] = [];
  for (let n = 0; n < after.length; n++) {
    if (after[n]! < sure) continue;
    let [from, to] = [n, n];
    while (from > 0 && after[from - 1]! >= still) from--;
    while (to + 1 < after.length && after[to + 1]! >= still) to++;
    let power = 0;
    for (let i = from; i <= to; i++) power += after[i]!;
    runs.push({ from, to, power });
    n = to;
  }
  if (runs.length === 0) return 'noise';
  const long = runs.filter(({ from, to }) => to - from + 1 >= SHORTEST * framesPerSecond);
  if (long.length === 0) return 'click';
  const loudest = long.reduce((most, run) => (run.power > most.power ? run : most));
  // A soft end or beginning, as of a word in "t", may be short by itself: it belongs to what it is close to.
  let [first, last] = [loudest.from, loudest.to];
  for (let isGrowing = true; isGrowing;) {
    isGrowing = false;
    for (const { from, to } of runs) {
      const isNear =
        from - last <= LONGEST_PAUSE * framesPerSecond && first - to <= LONGEST_PAUSE * framesPerSecond;
      if (!isNear || (from >= first && to <= last)) continue;
      [first, last, isGrowing] = [Math.min(first, from), Math.max(last, to), true];
    }
  }
  return [first, last];
}

const toDb = (ratio: number): number => 10 * Math.log10(ratio);
const fromDb = (db: number): number => 10 ** (db / 10);
const mean = (list: Float64Array): number => list.reduce((sum, each) => sum + each, 0) / list.length;
