import type { Sound } from './wav.ts';

/** Zero crossings of the sinc on either side. */
const CROSSINGS = 16;
/** The passband ends a little below half the lower rate, so that the filter's edge lies outside of what is kept. */
const PASSBAND = 0.94;

/**
 * The same sound at another rate, by a windowed sinc (Hann window, 16 crossings on either side), cut off below half of
 * the lower rate. Sample i of the result lies at i / `rate` seconds, as it did before: nothing is moved.
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
  const kernels: Float64Array[] = [];
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
