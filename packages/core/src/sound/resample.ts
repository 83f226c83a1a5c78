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
  const step = sampleRate / rate;
  const cutoff = PASSBAND * Math.min(1, rate / sampleRate);
  const reach = CROSSINGS / cutoff;
  const made = new Float32Array(Math.round(samples.length / step));
  for (let i = 0; i < made.length; i++) {
    const at = i * step;
    const from = Math.max(0, Math.ceil(at - reach));
    const to = Math.min(samples.length - 1, Math.floor(at + reach));
    let sum = 0;
    for (let j = from; j <= to; j++) sum += samples[j]! * kernel(j - at, cutoff, reach);
    made[i] = sum;
  }
  return { sampleRate: rate, samples: made };
}

function kernel(x: number, cutoff: number, reach: number): number {
  const window = 0.5 + 0.5 * Math.cos((Math.PI * x) / reach);
  if (Math.abs(x) < 1e-9) return cutoff;
  return (window * Math.sin(Math.PI * cutoff * x)) / (Math.PI * x);
}
