import type { Seconds } from '../units/index.ts';
import type { Sound } from './wav.ts';

/** Length of the pieces that are laid over each other, and how far the best match is looked for. */
const PIECE: Seconds = 0.03;
const SEARCH: Seconds = 0.008;

/**
 * Speaks faster (rate above 1) or slower without another pitch: pieces of the sound are laid over each other closer
 * together, each from where it goes on best after the one before (waveform similarity overlap-add, WSOLA, Verhelst and
 * Roelands 1993). An instant t of the sound comes to t / `rate`, to within about 10 ms.
 *
 * @param rate times as fast
 *
 * @example
 * stretch({ sampleRate: 8000, samples: new Float32Array(8000) }, 1).samples.length // 8000
 */
export function stretch({ sampleRate, samples }: Sound, rate: number): Sound {
  if (rate === 1) return { sampleRate, samples };
  const half = Math.round((PIECE * sampleRate) / 2);
  const reach = Math.round(SEARCH * sampleRate);
  const length = Math.round(samples.length / rate);
  const made = new Float32Array(length + 2 * half);
  const window = Float32Array.from(
    { length: 2 * half },
    (_, i) => 0.5 - 0.5 * Math.cos((Math.PI * i) / half),
  );
  const at = (i: number): number => samples[i] ?? 0;
  let taken = -half;
  for (let out = -half; out < length; out += half) {
    const ideal = Math.round(out * rate);
    if (out > -half) taken = bestMatch(at, taken + half, ideal, reach, half);
    for (let i = 0; i < 2 * half; i++) made[out + half + i]! += at(taken + i) * window[i]!;
  }
  return { sampleRate, samples: made.slice(half, half + length) };
}

/** Start near `ideal` of the piece that is most like what would have followed. */
function bestMatch(
  at: (i: number) => number,
  follows: number,
  ideal: number,
  reach: number,
  half: number,
): number {
  let best = ideal;
  let most = -Infinity;
  for (let shift = -reach; shift <= reach; shift += 2) {
    let alike = 0;
    let power = 1e-9;
    for (let i = 0; i < half; i += 3) {
      const x = at(ideal + shift + i);
      alike += x * at(follows + i);
      power += x * x;
    }
    const score = alike / Math.sqrt(power);
    if (score > most) {
      most = score;
      best = ideal + shift;
    }
  }
  return best;
}
