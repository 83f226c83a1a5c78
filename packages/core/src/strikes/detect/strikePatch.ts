import { BANDS } from './BandEnergies.ts';
import { STRETCHES } from './Periodicity.ts';

/** A rise is looked at from so many frames before it to so many behind it; a frame is 2 ms. */
export const BEHIND = 130;
export const AHEAD = 30;
/** Parts of that, from the rise on, in frames; in each the mean of a band is taken. They are finest about the rise. */
const PARTS: readonly (readonly [from: number, to: number])[] = [
  [-130, -70],
  [-70, -40],
  [-40, -20],
  [-20, -12],
  [-12, -7],
  [-7, -4],
  [-4, -2],
  [-2, 0],
  [0, 2],
  [2, 4],
  [4, 7],
  [7, 12],
  [12, 20],
  [20, 28],
];
/** Quieter than this mean square (−100 dB) is silence; and no part is reported lower than this under the loudest one, in nats. */
const SILENCE = 1e-10;
const LOWEST = -8;

/** How many numbers a patch has: the bands of each part, the floor of each band, the rise, how periodic it is, and a constant. */
export const PATCH = (PARTS.length + 1) * BANDS + STRETCHES + 2;

/**
 * What the network is asked about a rise: the loudness of the bands before, in and behind it against the loudest of them, in nats,
 * so that it does not matter how loud it is; that of the floors; how sharp the rise is; how periodic the sound is about it.
 *
 * @param rise its frame, from 0
 */
export function strikePatch(
  energies: readonly Float64Array[],
  floor: Float64Array,
  rise: number,
  periodic: Float64Array,
): Float64Array {
  const patch = new Float64Array(PATCH);
  let at = 0;
  let top = -Infinity;
  for (const [from, to] of PARTS)
    for (let band = 0; band < BANDS; band++) {
      let sum = 0;
      for (let k = BEHIND + from; k < BEHIND + to; k++) sum += energies[k]![band]!;
      const loud = Math.log(sum / (to - from) + SILENCE);
      if (loud > top) top = loud;
      patch[at++] = loud;
    }
  for (let band = 0; band < BANDS; band++) patch[at++] = Math.log(floor[band]! + SILENCE);
  for (let i = 0; i < at; i++) patch[i] = Math.max(LOWEST, patch[i]! - top);
  patch[at++] = rise;
  patch.set(periodic, at);
  patch[PATCH - 1] = 1;
  return patch;
}
