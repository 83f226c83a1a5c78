import { transfer, wrap } from 'comlink';
import type { Onset } from '@eurhythm/core/strikes';
import type { Seconds } from '@eurhythm/core/units';
import type { StrikesWork } from '../workers/strikes.worker.ts';
import { hearMicrophone, type Microphone } from './microphone.ts';

/** A strike that the microphone heard, at an instant of the page's clock. */
export interface StrikeHeard extends Omit<Onset, 'at'> {
  /** In seconds, as `performance.now()` counts. */
  readonly at: Seconds;
}

/**
 * Hears strikes by the microphone, in a thread of its own; gives back what heard them, and what closes it. `onEnd` is told when it is
 * unplugged. @throws NoMicrophone
 */
export async function hearStrikes(
  onStrike: (strike: StrikeHeard) => void,
  onEnd: () => void,
): Promise<Microphone> {
  const thread = new Worker(new URL('../workers/strikes.worker.ts', import.meta.url), {
    type: 'module',
    name: 'strikes',
  });
  const work = wrap<StrikesWork>(thread);
  let heard = 0;
  // Pieces come late, never early: the least difference is the nearest to that of the clocks.
  let ahead = Infinity;
  const onSamples = (samples: Float32Array, sampleRate: number): void => {
    if (heard === 0) void work.begin(sampleRate);
    heard += samples.length;
    ahead = Math.min(ahead, performance.now() / 1000 - heard / sampleRate);
    void work.push(transfer(samples, [samples.buffer])).then((onsets) => {
      for (const { at, ...onset } of onsets) onStrike({ ...onset, at: at + ahead });
    });
  };
  try {
    const microphone = await hearMicrophone(onSamples, onEnd);
    return {
      ...microphone,
      close: () => {
        microphone.close();
        thread.terminate();
      },
    };
  } catch (error) {
    thread.terminate();
    throw error;
  }
}
