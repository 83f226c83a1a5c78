import { transfer, wrap } from 'comlink';
import { DETECTOR_VERSION, type DetectorSetting } from '@eurhythm/core/strikes';
import type { StrikesWork } from '../workers/strikes.worker.ts';
import type { Ear, EarWatch } from './Ear.ts';
import { learntOf } from './earSettings.ts';
import { hearMicrophone } from './microphone.ts';

export const MICROPHONE_GONE =
  'The microphone is gone. What it heard so far is kept; count by hand or plug it in again.';

/**
 * Hears strikes by the microphone, in a thread of its own, with what was learnt of it at this place.
 * @throws NoMicrophone
 */
export async function openMicrophoneEar(watch: EarWatch, keepsSound: boolean): Promise<Ear> {
  const thread = new Worker(new URL('../workers/strikes.worker.ts', import.meta.url), {
    type: 'module',
    name: 'strikes',
  });
  const work = wrap<StrikesWork>(thread);
  let heard = 0;
  let setting: DetectorSetting = {};
  // Pieces come late, never early: the least difference is the nearest to that of the clocks.
  let ahead = Infinity;
  const onSamples = (samples: Float32Array, sampleRate: number): void => {
    if (heard === 0) void work.begin(sampleRate, setting, keepsSound);
    heard += samples.length;
    ahead = Math.min(ahead, performance.now() / 1000 - heard / sampleRate);
    watch.onLevel?.(levelOf(samples));
    void work.push(transfer(samples, [samples.buffer])).then((onsets) => {
      for (const { at, ...onset } of onsets) watch.onStrike({ ...onset, at: at + ahead });
    });
  };
  try {
    const microphone = await hearMicrophone(onSamples, () => watch.onEnd(MICROPHONE_GONE));
    const learnt = learntOf(microphone.name);
    const leastStrength = learnt?.calibration?.leastStrength ?? null;
    if (leastStrength !== null) setting = { leastStrength };
    return {
      source: 'microphone',
      device: microphone.name,
      latency: learnt?.latency ?? microphone.latency,
      detector: DETECTOR_VERSION,
      leastStrength,
      sound: async () => {
        const wav = await work.sound();
        return wav && { wav: new Blob([wav], { type: 'audio/wav' }), from: ahead };
      },
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

/** Decibels of full scale of a piece; silence is −100. */
function levelOf(samples: Float32Array): number {
  let sum = 0;
  for (const sample of samples) sum += sample * sample;
  return Math.max(-100, 10 * Math.log10(sum / Math.max(1, samples.length) + 1e-10));
}
