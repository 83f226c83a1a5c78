import type { Seconds } from '../../units/index.ts';
import { filtered, type Biquad } from './filters.ts';
import type { Sound } from '../wav.ts';

/** ITU-R BS.1770-4: blocks of 400 ms, a quarter apart, gated at −70 LUFS and at 10 LU under what is left. */
const BLOCK: Seconds = 0.4;
const STEP: Seconds = 0.1;
const ABSOLUTE_GATE = -70;
const RELATIVE_GATE = -10;
const OFFSET = -0.691;

/**
 * The two stages of the K weighting at any rate: the standard gives them for 48 kHz, and these are the analogue filters behind its
 * table (B. De Man 2014).
 */
function kWeighting(sampleRate: number): readonly [Biquad, Biquad] {
  const head = Math.tan((Math.PI * 1681.974450955533) / sampleRate);
  const [q, high] = [0.7071752369554196, 10 ** (3.999843853973347 / 20)];
  const middle = high ** 0.4996667741545416;
  const a0 = 1 + head / q + head ** 2;
  const low = Math.tan((Math.PI * 38.13547087602444) / sampleRate);
  const lowQ = 0.5003270373238773;
  const c0 = 1 + low / lowQ + low ** 2;
  return [
    {
      b: [
        (high + (middle * head) / q + head ** 2) / a0,
        (2 * (head ** 2 - high)) / a0,
        (high - (middle * head) / q + head ** 2) / a0,
      ],
      a: [(2 * (head ** 2 - 1)) / a0, (1 - head / q + head ** 2) / a0],
    },
    { b: [1, -2, 1], a: [(2 * (low ** 2 - 1)) / c0, (1 - low / lowQ + low ** 2) / c0] },
  ];
}

/**
 * K-weighted, gated loudness of one channel in LUFS (ITU-R BS.1770-4); −Infinity for silence. A sound shorter than a block is
 * one block.
 *
 * @example
 * loudnessOf({ sampleRate: 8000, samples: new Float32Array(8000) }) // -Infinity
 */
export function loudnessOf({ sampleRate, samples }: Sound): number {
  const [head, low] = kWeighting(sampleRate);
  const weighted = filtered(filtered(samples, head), low);
  const size = Math.min(weighted.length, Math.round(BLOCK * sampleRate));
  const powers: number[] = [];
  for (let from = 0; size > 0 && from + size <= weighted.length; from += Math.round(STEP * sampleRate)) {
    let sum = 0;
    for (let i = from; i < from + size; i++) sum += weighted[i]! ** 2;
    powers.push(sum / size);
  }
  const heard = powers.filter((power) => lufs(power) > ABSOLUTE_GATE);
  const gate = lufs(mean(heard)) + RELATIVE_GATE;
  return lufs(mean(heard.filter((power) => lufs(power) > gate)));
}

const lufs = (power: number): number => OFFSET + 10 * Math.log10(power);
const mean = (list: readonly number[]): number =>
  list.length === 0 ? 0 : list.reduce((sum, each) => sum + each, 0) / list.length;
