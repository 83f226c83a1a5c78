import type { Seconds } from '../../units/index.ts';
import { powerSpectrum } from '../fft.ts';
import { resample } from '../resample.ts';
import type { Sound } from '../wav.ts';

/** Rate at which speech is looked at. */
const RATE = 16_000;
export const FRAME_HOP: Seconds = 0.005;
const WINDOW: Seconds = 0.02;
const FFT = 512;
/** Bands on the mel scale, and the part of the spectrum that they share out. */
export const FRAME_BANDS = 14;
const LOWEST_HERTZ = 100;
const HIGHEST_HERTZ = 6000;
/** Bands this far under the loudest one of the clip are as good as silent; and the scale on which they are reported. */
const FLOOR_DB = -50;
const DB_SCALE = 20;
export const FRAME_SILENT = FLOOR_DB / DB_SCALE;

const toMel = (hertz: number): number => 2595 * Math.log10(1 + hertz / 700);
const toHertz = (mel: number): number => 700 * (10 ** (mel / 2595) - 1);
const EDGES = Array.from({ length: FRAME_BANDS + 1 }, (_, i) =>
  Math.round(
    (toHertz(toMel(LOWEST_HERTZ) + (i * (toMel(HIGHEST_HERTZ) - toMel(LOWEST_HERTZ))) / FRAME_BANDS) * FFT) /
      RATE,
  ),
);
const SIZE = Math.round(WINDOW * RATE);
const HANN = Float64Array.from(
  { length: SIZE },
  (_, i) => 0.5 - 0.5 * Math.cos((2 * Math.PI * (i + 0.5)) / SIZE),
);

/**
 * Loudness of a clip in mel bands, a row of 14 for each 5 ms, against the loudest band of the clip: 0 there, −2.5 for
 * what is 50 dB or more under it.
 *
 * @example
 * voicedFrames({ sampleRate: 16_000, samples: new Float32Array(0) }).length // 0
 */
export function voicedFrames(sound: Sound): Float64Array[] {
  const { samples } = resample(sound, RATE);
  const hop = FRAME_HOP * RATE;
  const frames: Float64Array[] = [];
  for (let centre = 0; centre < samples.length; centre += hop) {
    const frame = new Float64Array(FFT);
    for (let i = 0; i < SIZE; i++) frame[i] = (samples[centre - SIZE / 2 + i] ?? 0) * HANN[i]!;
    const power = powerSpectrum(frame);
    frames.push(
      Float64Array.from({ length: FRAME_BANDS }, (_, band) => {
        let sum = 1e-12;
        for (let k = EDGES[band]!; k < Math.max(EDGES[band]! + 1, EDGES[band + 1]!); k++) sum += power[k]!;
        return 10 * Math.log10(sum);
      }),
    );
  }
  const loudest = frames.reduce((most, frame) => Math.max(most, ...frame), -Infinity);
  return frames.map((frame) => frame.map((db) => Math.max(FLOOR_DB, db - loudest) / DB_SCALE));
}
