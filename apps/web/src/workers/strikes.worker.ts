import { expose, transfer } from 'comlink';
import { MusicWatch, StrikeDetector, type Onset } from '@eurhythm/core/strikes';
import type { Seconds } from '@eurhythm/core/units';
import { LiveStrikes, type LiveNews, type LiveWish } from './LiveStrikes.ts';

/** What was found in a whole sound. */
export interface FoundInWhole {
  readonly onsets: readonly Onset[];
  readonly hasMusic: boolean;
}

let live: LiveStrikes | null = null;

/** Strikes are heard in a thread of its own, and the samples come straight to it, so that a page that draws holds up nothing. */
const work = {
  /** Listens from now on to what comes through the port, for a page whose clock began then (`performance.timeOrigin`, in milliseconds). */
  listen: (wish: LiveWish, pageBegan: number, heard: MessagePort, tell: (news: LiveNews) => void): void => {
    const begun = new LiveStrikes(wish, tell);
    live = begun;
    const now = (): Seconds => (performance.timeOrigin - pageBegan + performance.now()) / 1000;
    heard.onmessage = ({ data }: MessageEvent<Float32Array>) => begun.heard(data, now());
  },
  /** What the page plays comes through this port. */
  hearOwn: (own: MessagePort): void => {
    own.onmessage = ({ data }: MessageEvent<Float32Array>) => live?.own(data);
  },
  /** Until when all was looked at, by the clock of the page. */
  until: (): Seconds => live?.until ?? -Infinity,
  /** The sound so far as a WAV file, and when it began; null where none is kept. */
  sound: (): LiveStrikes['sound'] => {
    const sound = live?.sound ?? null;
    return sound && transfer(sound, [sound.wav.buffer]);
  },
  /** The strikes in a whole sound; reported how far it is. */
  whole: (sampleRate: number, samples: Float32Array, onShare: (share: number) => void): FoundInWhole => {
    const detector = new StrikeDetector(sampleRate);
    const piece = 10 * sampleRate;
    const music = new MusicWatch(sampleRate);
    const found: Onset[] = [];
    for (let from = 0; from < samples.length; from += piece) {
      const part = samples.subarray(from, from + piece);
      found.push(...detector.push(part));
      music.push(part);
      onShare(Math.min(1, (from + piece) / samples.length));
    }
    return { onsets: [...found, ...detector.end()], hasMusic: music.wasHeard };
  },
};

export type StrikesWork = typeof work;

expose(work);
