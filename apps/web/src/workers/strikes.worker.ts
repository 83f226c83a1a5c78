import { expose, transfer } from 'comlink';
import { StrikeDetector, type DetectorSetting, type Onset } from '@eurhythm/core/strikes';
import { encodeWav, joined, resample } from '@eurhythm/core/sound';

/** Sound is kept no finer than this, in samples a second: what is to be heard of a strike is below half of it. */
const KEPT_RATE = 16_000;
/** No more than so many seconds of it. */
const MOST_KEPT = 300;

let detector: StrikeDetector | null = null;
let rate = 0;
let kept: Float32Array[] | null = null;
let keptCount = 0;

/** Strikes are heard in a thread of its own, so that a page that draws holds up nothing. */
const work = {
  begin: (sampleRate: number, setting: DetectorSetting, keepsSound: boolean): void => {
    detector = new StrikeDetector(sampleRate, setting);
    rate = sampleRate;
    kept = keepsSound ? [] : null;
    keptCount = 0;
  },
  push: (samples: Float32Array): Onset[] => {
    if (kept && keptCount < MOST_KEPT * rate) {
      kept.push(samples);
      keptCount += samples.length;
    }
    return detector?.push(samples) ?? [];
  },
  /** The strikes in a whole sound; told how far it is. */
  whole: (sampleRate: number, samples: Float32Array, onShare: (share: number) => void): Onset[] => {
    const own = new StrikeDetector(sampleRate);
    const piece = 10 * sampleRate;
    const found: Onset[] = [];
    for (let from = 0; from < samples.length; from += piece) {
      found.push(...own.push(samples.subarray(from, from + piece)));
      onShare(Math.min(1, (from + piece) / samples.length));
    }
    return [...found, ...own.end()];
  },
  /** The sound so far as a WAV file; null where none is kept. */
  sound: (): Uint8Array<ArrayBuffer> | null => {
    if (!kept) return null;
    const wav = encodeWav(resample({ sampleRate: rate, samples: joined(kept) }, Math.min(rate, KEPT_RATE)));
    return transfer(wav, [wav.buffer]);
  },
};

export type StrikesWork = typeof work;

expose(work);
