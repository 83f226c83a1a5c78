import { clockText, type Seconds } from '../units/index.ts';
import type { Sound } from './wav.ts';

export type ReadWav =
  { readonly ok: true; readonly sound: Sound } | { readonly ok: false; readonly message: string };

const PCM = 1;
const FLOAT = 3;
const EXTENSIBLE = 0xfffe;
/** Sizes from here on are no sizes: they stand for "until the end". */
const LENGTH_UNKNOWN = 0x7fff_f000;
const RATES = { min: 4000, max: 192_000 };

interface Format {
  readonly code: number;
  readonly channels: number;
  readonly sampleRate: number;
  readonly bits: number;
}

/** Channels that leave so little of the power of the loudest one cancel each other: then that one is taken alone. */
const CANCELLED = 0.02;

const refused = (message: string): ReadWav => ({ ok: false, message });

/**
 * How a recording is refused that is longer than is worked on.
 *
 * @example
 * tooLong(10_800, 5400) // 'A recording is at most 1:30:00 long; this one is 3:00:00. Cut it in parts.'
 */
export function tooLong(seconds: Seconds, longest: Seconds): string {
  return `A recording is at most ${clockText(longest)} long; this one is ${clockText(seconds)}. Cut it in parts.`;
}

/**
 * Reads a WAV file: 8, 16, 24 or 32-bit PCM or 32 or 64-bit float, any number of channels, which are brought together
 * into one; of channels that cancel each other the loudest is taken. A length that is not reported goes to the end. What cannot be read
 * is reported in a sentence, and what is longer than `longest` before any of it is read.
 *
 * @example
 * readWav(new Uint8Array(4)).ok // false
 */
export function readWav(bytes: Uint8Array, longest: Seconds = Infinity): ReadWav {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const tag = (at: number): string => String.fromCharCode(...bytes.subarray(at, at + 4));
  if (bytes.length < 12 || tag(0) !== 'RIFF' || tag(8) !== 'WAVE') return refused('This is no WAV file.');
  let format: Format | null = null;
  for (let at = 12; at + 8 <= bytes.length;) {
    const size = view.getUint32(at + 4, true);
    const isCutOff = at + 8 + size > bytes.length;
    if (tag(at) === 'fmt ') {
      if (size < 16 || isCutOff) return refused('This WAV file is cut off in its head.');
      format = formatAt(view, at + 8, size);
    }
    if (tag(at) === 'data') {
      if (!format) return refused('This WAV file does not say how its sound is written.');
      if (isOfUnknownLength(size)) return readSamples(view, at + 8, bytes.length - at - 8, format, longest);
      if (isCutOff) return refused('This WAV file is cut off: less sound is in it than it says.');
      return readSamples(view, at + 8, size, format, longest);
    }
    at += 8 + size + (size % 2);
  }
  return refused('There is no sound in this WAV file, or it is cut off.');
}

/** Programs that write into a pipe do not know the length; they say none, or the most that can be said. */
function isOfUnknownLength(size: number): boolean {
  return size === 0 || size >= LENGTH_UNKNOWN;
}

function formatAt(view: DataView, at: number, size: number): Format {
  const code = view.getUint16(at, true);
  return {
    // The extensible head keeps the true code in the first two bytes of its sub-format.
    code: code === EXTENSIBLE && size >= 26 ? view.getUint16(at + 24, true) : code,
    channels: view.getUint16(at + 2, true),
    sampleRate: view.getUint32(at + 4, true),
    bits: view.getUint16(at + 14, true),
  };
}

function readSamples(view: DataView, from: number, size: number, format: Format, longest: Seconds): ReadWav {
  const { channels, sampleRate, bits } = format;
  const read = sampleReader(view, format);
  if (!read || channels === 0)
    return refused('This WAV file is written in a way that cannot be read. Save it as PCM.');
  if (sampleRate < RATES.min || sampleRate > RATES.max)
    return refused(`A rate of ${sampleRate} samples a second cannot be right.`);
  const width = bits / 8;
  const count = Math.floor(size / (width * channels));
  if (count === 0) return refused('There is no sound in this WAV file.');
  if (count > longest * sampleRate) return refused(tooLong(count / sampleRate, longest));
  const samples = new Float32Array(count);
  const loud = new Float64Array(channels);
  let mixed = 0;
  for (let i = 0; i < count; i++) {
    let sum = 0;
    for (let channel = 0; channel < channels; channel++) {
      const sample = read(from + (i * channels + channel) * width);
      const heard = Number.isFinite(sample) ? sample : 0;
      loud[channel]! += heard ** 2;
      sum += heard;
    }
    samples[i] = sum / channels;
    mixed += samples[i]! ** 2;
  }
  const loudest = loud.indexOf(Math.max(...loud));
  // Two channels of opposite phase take each other away.
  if (mixed < loud[loudest]! * CANCELLED)
    for (let i = 0; i < count; i++) {
      const sample = read(from + (i * channels + loudest) * width);
      samples[i] = Number.isFinite(sample) ? sample : 0;
    }
  return { ok: true, sound: { sampleRate, samples } };
}

function sampleReader(view: DataView, { code, bits }: Format): ((at: number) => number) | null {
  if (code === FLOAT && bits === 32) return (at) => view.getFloat32(at, true);
  if (code === FLOAT && bits === 64) return (at) => view.getFloat64(at, true);
  if (code !== PCM) return null;
  switch (bits) {
    case 8:
      return (at) => (view.getUint8(at) - 128) / 128;
    case 16:
      return (at) => view.getInt16(at, true) / 32767;
    case 24:
      return (at) => (view.getUint16(at, true) + view.getInt8(at + 2) * 65_536) / 8_388_608;
    case 32:
      return (at) => view.getInt32(at, true) / 2_147_483_648;
    default:
      return null;
  }
}
