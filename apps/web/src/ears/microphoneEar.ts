import { transfer, wrap } from 'comlink';
import { DETECTOR_VERSION, type DetectorSetting } from '@eurhythm/core/strikes';
import type { Found, StrikesWork } from '../workers/strikes.worker.ts';
import type { Ear, EarWatch } from './Ear.ts';
import { learntOf } from './earSettings.ts';
import { hearMicrophone } from './microphone.ts';
import { hearOwnSound, ownSound, type OwnSound } from './ownSound.ts';

export const MICROPHONE_GONE =
  'The microphone is gone. What it heard so far is kept; count by hand or plug it in again.';

const OWN_UNKNOWN =
  'This browser does not tell what it plays: a call may be taken for a strike. Keep the loudspeaker away from the microphone.';

export const MUSIC_HEARD =
  'Music is heard here, and its drum may be taken for strikes. Turn it off, or count by hand.';

/** A strike is known so long after it: the detector looks ahead, and works on some milliseconds at once; in seconds. */
const LOOKS_AHEAD = 0.18;
/** Nobody waits longer than this for pieces that do not come, in seconds. */
const PATIENCE = 3;
/** Pieces by which the clock of the microphone is set against that of the page, some five seconds. */
const CLOCK_PIECES = 250;

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
  /** Until when all is told, by the page's clock. */
  let told = -Infinity;
  let setting: DetectorSetting = {};
  // Pieces come late, never early: the least difference is the nearest to that of the clocks. Where samples get lost it grows.
  const lags: number[] = [];
  let ahead = 0;
  const own = ownSound();
  let endOwn: (() => void) | null = null;
  let isClosed = false;
  /** What is to be known all the while, and what is told for as long as there is music. */
  let [warning, hadMusic] = ['', false];
  const tell = (): void => watch.onTold?.(hadMusic ? MUSIC_HEARD : warning);
  const take = ({ onsets, waiting, hasMusic }: Found, until: number): void => {
    const isOther = hasMusic !== hadMusic;
    hadMusic = hasMusic;
    if (isOther) tell();
    for (const { at, ...onset } of onsets) watch.onStrike({ ...onset, at: at + ahead });
    told = Math.max(told, until - waiting);
  };
  const hearOwn = async (playing: OwnSound, sampleRate: number): Promise<void> => {
    const end = await hearOwnSound(playing, (played) => {
      const until = heard / sampleRate + ahead;
      void work.pushOwn(transfer(played, [played.buffer])).then((found) => take(found, until));
    });
    if (isClosed) end();
    else endOwn = end;
  };
  const onSamples = (samples: Float32Array, sampleRate: number): void => {
    if (heard === 0) {
      const beside = own?.context.sampleRate === sampleRate ? own : null;
      void work.begin(sampleRate, setting, { keepsSound, besideOwn: beside !== null });
      if (beside)
        hearOwn(beside, sampleRate).catch(() => {
          warning = OWN_UNKNOWN;
          tell();
        });
    }
    heard += samples.length;
    lags.push(performance.now() / 1000 - heard / sampleRate);
    if (lags.length > CLOCK_PIECES) lags.shift();
    ahead = Math.min(...lags);
    const until = heard / sampleRate + ahead;
    watch.onLevel?.(levelOf(samples));
    void work.push(transfer(samples, [samples.buffer])).then((found) => take(found, until));
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
      detector: own ? `${DETECTOR_VERSION}, own sound taken out` : DETECTOR_VERSION,
      leastStrength,
      settled: async () => {
        const from = performance.now() / 1000;
        while (told < from + LOOKS_AHEAD && performance.now() / 1000 < from + PATIENCE) await pause(20);
      },
      sound: async () => {
        const wav = await work.sound();
        return wav && { wav: new Blob([wav], { type: 'audio/wav' }), from: ahead };
      },
      close: () => {
        microphone.close();
        isClosed = true;
        endOwn?.();
        thread.terminate();
      },
    };
  } catch (error) {
    thread.terminate();
    throw error;
  }
}

const pause = (milliseconds: number): Promise<void> =>
  new Promise((resolve) => setTimeout(resolve, milliseconds));

/** Decibels of full scale of a piece; silence is −100. */
function levelOf(samples: Float32Array): number {
  let sum = 0;
  for (const sample of samples) sum += sample * sample;
  return Math.max(-100, 10 * Math.log10(sum / Math.max(1, samples.length) + 1e-10));
}
