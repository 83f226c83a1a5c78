import type { Sound } from '../wav.ts';
import { soundOf, spectraOf, type Spectra } from './spectra.ts';

/** What a voice has most of, and a room's hum and hiss least. */
const BAND_HERTZ = [250, 4000] as const;
/** The quietest frames are the room: so many of all of them, and what is no more than 3 dB louder. */
const QUIETEST = 0.1;
const NEAR = 2;
/** Nothing is turned down by more: what is left of a room sounds like one. */
const LEAST_GAIN = 10 ** (-20 / 20);
/** More is taken away than the room has in the mean, since it is never the same from frame to frame. */
const TAKE = 2;
export interface QuietRoom {
  /** The sound with the room turned down. */
  readonly sound: Sound;
  /** Mean square of the samples in the voice's band for each frame, before and after. */
  readonly before: Float64Array;
  readonly after: Float64Array;
  /** Power of the room in that band, in the mean, before and after. */
  readonly room: { readonly before: number; readonly after: number };
  /** Samples from frame to frame. */
  readonly hop: number;
}

/**
 * Turns the room of a recording down: what its quietest frames have is taken from all of them, by a gate for each part of the
 * spectrum (spectral subtraction, Boll 1979, over neighbours in time and pitch).
 *
 * @example
 * quietRoom({ sampleRate: 16_000, samples: new Float32Array(1000) }).room.before // 0
 */
export function quietRoom(sound: Sound): QuietRoom {
  const spectra = spectraOf(sound);
  const { frames, size, hop, sampleRate } = spectra;
  const band = BAND_HERTZ.map((hertz) => Math.round((hertz * size) / sampleRate)) as [number, number];
  const before = bandPowers(spectra, band);
  const quiet = quietestOf(before);
  const room = Float64Array.from({ length: size / 2 + 1 }, (_, k) =>
    mean(quiet.map((n) => frames[n]!.power[k]!)),
  );
  const near = nearbyPowers(spectra);
  const made = soundOf(spectra, (n, k) => {
    const power = near[n]![k]!;
    return power === 0 ? 1 : Math.max(LEAST_GAIN, Math.sqrt(Math.max(0, 1 - (TAKE * room[k]!) / power)));
  });
  const after = bandPowers(spectraOf(made), band);
  return {
    sound: made,
    before,
    after,
    room: { before: mean(quiet.map((n) => before[n]!)), after: mean(quiet.map((n) => after[n]!)) },
    hop,
  };
}

/** The power of each bin in the mean of it and its neighbours in time and pitch, so that no single tone is left standing. */
function nearbyPowers({ frames }: Spectra): Float64Array[] {
  const wide = frames.map(({ power }) =>
    power.map((each, k) => ((power[k - 1] ?? each) + each + (power[k + 1] ?? each)) / 3),
  );
  return wide.map((power, n) => {
    const [before, after] = [wide[n - 1] ?? power, wide[n + 1] ?? power];
    return power.map((each, k) => (before[k]! + each + after[k]!) / 3);
  });
}

/** The mean square of each frame's samples in a band: a Hann window leaves 3/8 of it, and half of its bins are looked at. */
function bandPowers({ frames, size }: Spectra, [from, to]: readonly [number, number]): Float64Array {
  return Float64Array.from(frames, ({ power }) => {
    let sum = 0;
    for (let k = from; k <= to; k++) sum += power[k]!;
    return sum / (size ** 2 * (3 / 16));
  });
}

/** The frames in which nothing but the room is heard. What is no sound at all, as at the edges of a file, tells nothing. */
function quietestOf(powers: Float64Array): number[] {
  const heard = [...powers.keys()].filter((n) => powers[n]! > 0);
  const sorted = heard.map((n) => powers[n]!).sort((a, b) => a - b);
  const edge = (sorted[Math.floor(sorted.length * QUIETEST)] ?? 0) * NEAR;
  return heard.filter((n) => powers[n]! <= edge);
}

const mean = (list: readonly number[]): number =>
  list.length === 0 ? 0 : list.reduce((sum, each) => sum + each, 0) / list.length;
