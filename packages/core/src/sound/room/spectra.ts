import type { Seconds } from '../../units/index.ts';
import { fourier, inverseFourier } from '../fft.ts';
import type { Sound } from '../wav.ts';

/** Frames overlap by three quarters: what is put together again from changed frames has no seams. */
const OVERLAP = 4;
const LONGEST_FRAME: Seconds = 0.025;

/** The spectrum of a frame, bins 0 … size/2, with the power of each. */
export interface FrameSpectrum {
  readonly re: Float64Array;
  readonly im: Float64Array;
  readonly power: Float64Array;
}

/** A sound as spectra of frames, a `hop` of samples apart; frame `i` is centred on sample `i × hop`. */
export interface Spectra {
  readonly sampleRate: number;
  readonly length: number;
  readonly size: number;
  readonly hop: number;
  readonly frames: readonly FrameSpectrum[];
}

/** The largest power of two within 25 ms. */
const sizeFor = (sampleRate: number): number => 2 ** Math.floor(Math.log2(LONGEST_FRAME * sampleRate));
const windowOf = (size: number): Float64Array =>
  Float64Array.from({ length: size }, (_, i) => 0.5 - 0.5 * Math.cos((2 * Math.PI * i) / size));

/**
 * @example
 * spectraOf({ sampleRate: 16_000, samples: new Float32Array(1000) }).size // 256
 */
export function spectraOf({ sampleRate, samples }: Sound): Spectra {
  const size = sizeFor(sampleRate);
  const hop = size / OVERLAP;
  const window = windowOf(size);
  const frames = Array.from({ length: Math.ceil(samples.length / hop) + 1 }, (_, n) => {
    const first = n * hop - size / 2;
    const re = window.map((weight, i) => weight * (samples[first + i] ?? 0));
    const im = new Float64Array(size);
    fourier(re, im);
    const power = Float64Array.from({ length: size / 2 + 1 }, (__, k) => re[k]! ** 2 + im[k]! ** 2);
    return { re, im, power };
  });
  return { sampleRate, length: samples.length, size, hop, frames };
}

/**
 * The sound of spectra whose bins are multiplied by `gains` (for each frame, bins 0 … size/2), by overlapping and adding.
 *
 * @example
 * soundOf(spectraOf({ sampleRate: 16_000, samples: new Float32Array(9) }), () => 1).samples.length // 9
 */
export function soundOf(
  { sampleRate, length, size, hop, frames }: Spectra,
  gain: (frame: number, bin: number) => number,
): Sound {
  const window = windowOf(size);
  const made = new Float64Array(length);
  const weight = new Float64Array(length);
  frames.forEach(({ re, im }, n) => {
    const [x, y] = [re.slice(), im.slice()];
    for (let k = 0; k <= size / 2; k++) {
      const by = gain(n, k);
      for (const bin of k === 0 || k === size / 2 ? [k] : [k, size - k]) {
        x[bin]! *= by;
        y[bin]! *= by;
      }
    }
    inverseFourier(x, y);
    const first = n * hop - size / 2;
    for (let i = Math.max(0, -first); i < size && first + i < length; i++) {
      made[first + i]! += x[i]! * window[i]!;
      weight[first + i]! += window[i]! ** 2;
    }
  });
  return {
    sampleRate,
    samples: Float32Array.from(made, (sum, i) => (weight[i]! > 1e-9 ? sum / weight[i]! : 0)),
  };
}
