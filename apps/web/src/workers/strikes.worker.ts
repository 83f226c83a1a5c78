import { expose, transfer } from 'comlink';
import {
  OwnSoundDetector,
  MusicWatch,
  SideBySide,
  StrikeDetector,
  type DetectorSetting,
  type Onset,
  type Pair,
} from '@eurhythm/core/strikes';
import type { Seconds } from '@eurhythm/core/units';
import { encodeWav, joined, resample } from '@eurhythm/core/sound';

/** Sound is kept no finer than this, in samples a second: what is to be heard of a strike is below half of it. */
const KEPT_RATE = 16_000;
/** No more than so many seconds of it. */
const MOST_KEPT = 300;

/** What is heard waits no longer than this for what is played meanwhile. */
const MOST_WAIT: Seconds = 0.1;

/** What was found, and how much of what was heard waits to be looked at. */
export interface Found {
  readonly onsets: readonly Onset[];
  readonly waiting: Seconds;
  /** Music was heard lately. */
  readonly hasMusic: boolean;
}

/** What was found in a whole sound. */
export interface FoundInWhole {
  readonly onsets: readonly Onset[];
  readonly hasMusic: boolean;
}

/** Looks for strikes in the samples that come. */
interface Listens {
  heard(samples: Float32Array): Found;
  own(samples: Float32Array): Found;
}

let listens: Listens | null = null;
let rate = 0;
let kept: Float32Array[] | null = null;
let keptCount = 0;

const NOTHING: Found = { onsets: [], waiting: 0, hasMusic: false };

function listensAlone(sampleRate: number, setting: DetectorSetting): Listens {
  const detector = new StrikeDetector(sampleRate, setting);
  const music = new MusicWatch(sampleRate);
  return {
    heard: (samples) => {
      music.push(samples);
      return { onsets: detector.push(samples), waiting: 0, hasMusic: music.isHeard };
    },
    own: () => NOTHING,
  };
}

function listensBesideOwn(sampleRate: number, setting: DetectorSetting): Listens {
  const detector = new OwnSoundDetector(sampleRate, setting);
  const both = new SideBySide(MOST_WAIT * sampleRate);
  const music = new MusicWatch(sampleRate);
  const found = (pairs: readonly Pair[]): Found => ({
    onsets: pairs.flatMap(([heard, own]) => detector.push(heard, own)),
    waiting: both.waiting / sampleRate,
    hasMusic: music.isHeard,
  });
  return {
    heard: (samples) => {
      music.push(samples);
      return found(both.takeHeard(samples));
    },
    own: (samples) => found(both.takeOwn(samples)),
  };
}

/** Strikes are heard in a thread of its own, so that a page that draws holds up nothing. */
const work = {
  /** `besideOwn`: what the page plays is told too, and is no strike. */
  begin: (
    sampleRate: number,
    setting: DetectorSetting,
    { keepsSound, besideOwn }: { readonly keepsSound: boolean; readonly besideOwn: boolean },
  ): void => {
    listens = besideOwn ? listensBesideOwn(sampleRate, setting) : listensAlone(sampleRate, setting);
    rate = sampleRate;
    kept = keepsSound ? [] : null;
    keptCount = 0;
  },
  push: (samples: Float32Array): Found => {
    if (kept && keptCount < MOST_KEPT * rate) {
      kept.push(samples);
      keptCount += samples.length;
    }
    return listens?.heard(samples) ?? NOTHING;
  },
  pushOwn: (samples: Float32Array): Found => listens?.own(samples) ?? NOTHING,
  /** The strikes in a whole sound; told how far it is. */
  whole: (sampleRate: number, samples: Float32Array, onShare: (share: number) => void): FoundInWhole => {
    const own = new StrikeDetector(sampleRate);
    const piece = 10 * sampleRate;
    const music = new MusicWatch(sampleRate);
    const found: Onset[] = [];
    for (let from = 0; from < samples.length; from += piece) {
      const part = samples.subarray(from, from + piece);
      found.push(...own.push(part));
      music.push(part);
      onShare(Math.min(1, (from + piece) / samples.length));
    }
    return { onsets: [...found, ...own.end()], hasMusic: music.wasHeard };
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
