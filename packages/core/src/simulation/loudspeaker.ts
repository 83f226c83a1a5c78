import { filtered, highPass } from '../sound/index.ts';
import type { RandomSource, Seconds } from '../units/index.ts';
import { convolved, roomResponse, type Room } from './roomResponse.ts';

/** The way from a device's loudspeaker to its own microphone. */
export interface LoudspeakerWay extends Room {
  /** From the sample that is played to that which is heard. */
  readonly late: Seconds;
  /** How much stronger the straight way is than all that the room gives back, in decibels: some 15 from a phone to itself, 0 from a box two steps away. */
  readonly directOverRoom: number;
  /** How hard the loudspeaker is driven: at 1 its loudest samples lose a fifth. */
  readonly drive: number;
}

/** Small loudspeakers give nothing below this, in hertz. */
const LOWEST = 300;
const LOWEST_Q = 0.7;

/**
 * What is heard of what is played, as many samples.
 *
 * @example
 * throughLoudspeaker(new Float32Array(800), { sampleRate: 8000, late: 0.02, echo: 0.5, directOverRoom: 15, drive: 1 }, seededRandom(1)).length // 800
 */
export function throughLoudspeaker(
  played: Float32Array,
  way: LoudspeakerWay,
  random: RandomSource,
): Float64Array {
  const { sampleRate, drive } = way;
  const most = played.reduce((max, each) => Math.max(max, Math.abs(each)), 1e-9);
  const driven = played.map((x) => (drive > 0 ? (Math.tanh((drive * x) / most) * most) / drive : x));
  const response = roomResponse(way, random);
  const room = response.slice(1).reduce((sum, each) => sum + each * each, 0);
  const share = Math.sqrt(10 ** (-way.directOverRoom / 10) / (room || 1));
  for (let i = 1; i < response.length; i++) response[i]! *= share;
  const heard = convolved(
    Float64Array.from(filtered(driven, highPass(LOWEST, sampleRate, LOWEST_Q))),
    response,
  );
  const late = Math.round(way.late * sampleRate);
  return heard.map((_, i) => heard[i - late] ?? 0);
}
