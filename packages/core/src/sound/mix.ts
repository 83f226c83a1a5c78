import type { Seconds } from '../units/index.ts';

/** Samples that begin to sound at an instant. */
export interface PlacedSamples {
  readonly at: Seconds;
  readonly samples: Float32Array;
  readonly gain: number;
}

/**
 * Mixes sounds into one channel, over what `into` held before: its sample i is sample `first` + i of the whole. The first
 * sample of each sound lies on the sample nearest to its instant; what reaches out of the piece on either side is cut. All
 * sounds are at `sampleRate`. The mix may go beyond ±1: writing it to 16 bits clips it. Pieces of a mix put together are the
 * same samples as the whole.
 *
 * @param sampleRate samples a second
 * @param first sample of the whole at which the piece begins, from 0
 *
 * @example
 * mix(new Float32Array(8000), [{ at: 0.5, samples: Float32Array.of(1), gain: 1 }], 8000)[4000] // 1
 */
export function mix(
  into: Float32Array<ArrayBuffer>,
  events: Iterable<PlacedSamples>,
  sampleRate: number,
  first = 0,
): Float32Array<ArrayBuffer> {
  into.fill(0);
  for (const { at, samples, gain } of events) {
    const begin = Math.round(at * sampleRate) - first;
    const end = Math.min(into.length, begin + samples.length);
    for (let i = Math.max(0, begin); i < end; i++) into[i]! += samples[i - begin]! * gain;
  }
  return into;
}
