import type { Seconds } from '../units/index.ts';

/** Samples that begin to sound at an instant. */
export interface PlacedSamples {
  readonly at: Seconds;
  readonly samples: Float32Array;
  readonly gain: number;
}

/** Length of the pieces in which a mix is given out. */
const CHUNK: Seconds = 1;

/**
 * Mixes sounds into one channel, a second at a time, so that an hour takes no more memory than a minute. The first
 * sample of each sound lies on the sample nearest to its instant. All sounds are at `sampleRate`; `events` are sorted by
 * `at`; what begins before `start` is cut. The mix may go beyond ±1: writing it to 16 bits clips it. Pieces of a mix, each
 * begun at a whole number of samples, put together are the same samples as the whole.
 *
 * @example
 * [...mix([], 1, 8000)].reduce((sum, { length }) => sum + length, 0) // 8000
 */
export function* mix(
  events: Iterable<PlacedSamples>,
  seconds: Seconds,
  sampleRate: number,
  start: Seconds = 0,
): Generator<Float32Array<ArrayBuffer>, void> {
  const begin = Math.round(start * sampleRate);
  const total = begin + Math.round(seconds * sampleRate);
  const size = Math.round(CHUNK * sampleRate);
  const coming = events[Symbol.iterator]();
  let next = coming.next();
  let sounding: { readonly first: number; readonly event: PlacedSamples }[] = [];
  for (let from = begin; from < total; from += size) {
    const chunk = new Float32Array(Math.min(size, total - from));
    for (; !next.done; next = coming.next()) {
      const first = Math.round(next.value.at * sampleRate);
      if (first >= from + chunk.length) break;
      sounding.push({ first, event: next.value });
    }
    for (const { first, event } of sounding) {
      const audible = Math.max(from, first);
      const end = Math.min(from + chunk.length, first + event.samples.length);
      for (let i = audible; i < end; i++) chunk[i - from]! += event.samples[i - first]! * event.gain;
    }
    sounding = sounding.filter(({ first, event }) => first + event.samples.length > from + chunk.length);
    yield chunk;
  }
}
