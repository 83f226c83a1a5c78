import { expose } from 'comlink';
import { StrikeDetector, type Onset } from '@eurhythm/core/strikes';

let detector: StrikeDetector | null = null;

/** Strikes are heard in a thread of its own, so that a page that draws holds up nothing. */
const work = {
  begin: (sampleRate: number): void => {
    detector = new StrikeDetector(sampleRate);
  },
  push: (samples: Float32Array): Onset[] => detector?.push(samples) ?? [],
};

export type StrikesWork = typeof work;

expose(work);
