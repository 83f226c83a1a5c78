import type { Sound } from './wav.ts';

/** Zero crossings of the sinc on either side. */
const CROSSINGS = 16;
/** The passband ends a little below half the lower rate, so that the filter's edge lies outside of what is kept. */
const PASSBAND = 0.94;

/**
 * The same sound at another rate, by a windowed sinc (Hann window, 16 crossings on either side), cut off below half of
 * the lower rate. Sample i of the result lies at i / `rate` seconds, as it did before: nothing is moved.
 *
 * @param rate samples a second of the result
 *
 * @example
 * resample({ sampleRate: 8000, samples: new Float32Array(8000) }, 4000).samples.length // 4000
 */
export function resample({ sampleRate, samples }: Sound, rate: number): Sound {
  if (rate === sampleRate) return { sampleRate, samples };
  const cutoff = PASSBAND * Math.min(1, rate / sampleRate);
  const reach = CROSSINGS / cutoff;
  // Samples of the result lie at so many places between two of the source, and then at the same ones again.
  const common = divisor(sampleRate, rate);
  const [places, step] = [rate / common, sampleRate / common];
  const kernels = kernelsOf(places, cutoff);
  const made = new Float32Array(Math.round((samples.length * rate) / sampleRate));
  for (let i = 0; i < made.length; i++) {
    const whole = Math.floor((i * step) / places);
    const place = (i * step) % places;
    const kernel = (kernels[place] ??= kernelAt(place / places, cutoff, reach));
    const first = whole + Math.ceil(place / places - reach);
    const end = Math.min(kernel.length, samples.length - first);
    let sum = 0;
    for (let j = Math.max(0, -first); j < end; j++) sum += samples[first + j]! * kernel[j]!;
    made[i] = sum;
  }
  return { sampleRate: rate, samples: made };
}

/** So many pairs of rates are in use at once: that of the clips, of a recording, of what listens. */
const MOST_REMEMBERED = 8;
/** An odd rate needs a kernel for nearly every sample; those are not kept. */
const MOST_PLACES = 1000;

const remembered = new Map<string, Float64Array[]>();

/** The kernels that have been worked out for these places; who needs another adds it. */
function kernelsOf(places: number, cutoff: number): Float64Array[] {
  const key = `${places} ${cutoff}`;
  const known = remembered.get(key);
  if (known) return known;
  if (remembered.size >= MOST_REMEMBERED) remembered.clear();
  const kernels: Float64Array[] = [];
  if (places <= MOST_PLACES) remembered.set(key, kernels);
  return kernels;
}

/** The windowed sinc at the samples around a place between two of them. */
function kernelAt(place: number, cutoff: number, reach: number): Float64Array {
  const first = Math.ceil(place - reach);
  return Float64Array.from({ length: Math.floor(place + reach) - first + 1 }, (_, j) => {
    const x = first + j - place;
    if (Math.abs(x) < 1e-9) return cutoff;
    const window = 0.5 + 0.5 * Math.cos((Math.PI * x) / reach);
    return (window * Math.sin(Math.PI * cutoff * x)) / (Math.PI * x);
  });
}

function divisor(a: number, b: number): number {
  return b === 0 ? a : divisor(b, a % b);
}
