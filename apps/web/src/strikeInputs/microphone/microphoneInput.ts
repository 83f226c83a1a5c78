import { proxy, transfer, wrap, type Remote } from 'comlink';
import { DETECTOR_VERSION } from '@eurhythm/core/strikes';
import type { LiveNews, LiveWish } from '../../workers/LiveStrikes.ts';
import type { StrikesWork } from '../../workers/strikes.worker.ts';
import type { StrikeInput, InputEvents } from '../StrikeInput.ts';
import { learntOf } from '../inputSettings.ts';
import { InputWarnings } from './InputWarnings.ts';
import { hearMicrophone } from './microphone.ts';
import { ownSound, type OwnSound } from './referenceSignal.ts';
import { samplesAt, type Samples } from './samples.ts';

export const MICROPHONE_GONE =
  'The microphone is gone. What it heard so far is kept; count by hand or plug it in again.';

const OWN_UNKNOWN =
  'This browser does not tell what it plays: a call may be taken for a strike. Keep the loudspeaker away from the microphone.';

/** A strike is known so long after it: the detector looks ahead, and works on some milliseconds at once; in seconds. */
const LOOKS_AHEAD = 0.18;
/** Nobody waits longer than this for pieces that do not come, in seconds. */
const PATIENCE = 3;

const strikesThread = (): Worker =>
  new Worker(new URL('../../workers/strikes.worker.ts', import.meta.url), {
    type: 'module',
    name: 'strikes',
  });

/**
 * Hears strikes by the microphone, in a thread of its own, with what was learnt of it at this place.
 * @throws NoMicrophone
 */
export async function openMicrophoneInput(watch: InputEvents, keepsSound: boolean): Promise<StrikeInput> {
  const thread = strikesThread();
  const work = wrap<StrikesWork>(thread);
  const warnings = new InputWarnings((what) => watch.onStatus?.(what));
  let latency = 0;
  let own: Samples | null = null;
  let isClosed = false;
  const take = ({ onsets, hasMusic, lost, level }: LiveNews): void => {
    warnings.heard(hasMusic, lost, performance.now() / 1000);
    if (level !== null) watch.onLevel?.(level);
    for (const onset of onsets) watch.onStrike({ ...onset, at: onset.at - latency });
  };
  const hearOwn = async ({ out, context }: OwnSound): Promise<void> => {
    const played = await samplesAt(out, context, { tellsSilence: true });
    if (isClosed) return played.close();
    own = played;
    void work.hearOwn(transfer(played.port, [played.port]));
  };
  try {
    const microphone = await hearMicrophone(() => watch.onEnd(MICROPHONE_GONE));
    const { name, sampleRate, samples } = microphone;
    const learnt = learntOf(name);
    latency = learnt?.latency ?? microphone.latency;
    const leastStrength = learnt?.calibration?.leastStrength ?? null;
    const playing = ownSound();
    const besideOwn = playing?.context.sampleRate === sampleRate;
    const wish: LiveWish = {
      sampleRate,
      setting: leastStrength === null ? {} : { leastStrength },
      keepsSound,
      besideOwn,
      tellsLevel: watch.onLevel !== undefined,
    };
    void work.listen(wish, performance.timeOrigin, transfer(samples, [samples]), proxy(take));
    // Reported once the input is open, or whoever opens it would not have it yet.
    const ownUnknown = (): void => void setTimeout(() => warnings.set(OWN_UNKNOWN));
    if (besideOwn) hearOwn(playing).catch(ownUnknown);
    else if (playing) ownUnknown();
    return {
      source: 'microphone',
      device: name,
      detector: besideOwn ? `${DETECTOR_VERSION}, own sound taken out` : DETECTOR_VERSION,
      leastStrength,
      settled: () => settled(work),
      sound: async () => {
        const sound = await work.sound();
        return sound && { wav: new Blob([sound.wav], { type: 'audio/wav' }), from: sound.from - latency };
      },
      close: () => {
        microphone.close();
        isClosed = true;
        own?.close();
        thread.terminate();
      },
    };
  } catch (error) {
    thread.terminate();
    throw error;
  }
}

/** Until all that has sounded so far is looked through, or nothing more comes. */
async function settled(work: Remote<StrikesWork>): Promise<void> {
  const from = performance.now() / 1000;
  while ((await work.until()) < from + LOOKS_AHEAD && performance.now() / 1000 < from + PATIENCE)
    await pause(20);
}

const pause = (milliseconds: number): Promise<void> =>
  new Promise((resolve) => setTimeout(resolve, milliseconds));
