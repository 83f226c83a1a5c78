import { encodeWav, joined, type Sound } from '../sound/index.ts';
import type { Loss } from '../strikes/index.ts';
import type { Seconds } from '../units/index.ts';
import { labelledWav, labelsOf } from './labelledWav.ts';

/** The name of a region in which a file is silent because its sound got lost. */
const LOST = 'lost';

/**
 * A mono 16-bit WAV file of a sound some of which got lost: silent there, so that all of it lies at its time, with a labelled region
 * that says so.
 *
 * @example
 * lossesOf(wavWithLosses({ sampleRate: 10, samples: new Float32Array(10) }, [{ at: 0.5, seconds: 0.2 }]))
 * // [{ at: 0.5, seconds: 0.2 }]
 */
export function wavWithLosses(sound: Sound, losses: readonly Loss[]): Uint8Array<ArrayBuffer> {
  const { sampleRate, samples } = sound;
  const here = losses.filter(({ at, seconds }) => at * sampleRate < samples.length && seconds > 0);
  if (here.length === 0) return encodeWav(sound);
  const pieces: Float32Array[] = [];
  let from = 0;
  let before = 0;
  const labels = here.map(({ at, seconds }) => {
    const to = Math.round(at * sampleRate);
    pieces.push(samples.subarray(from, to), new Float32Array(Math.round(seconds * sampleRate)));
    from = to;
    const label = { at: at + before, seconds, name: LOST };
    before += seconds;
    return label;
  });
  const whole = { sampleRate, samples: joined([...pieces, samples.subarray(from)]) };
  return labelledWav(whole, labels);
}

/**
 * What a WAV file says that was lost of its sound: none where it says nothing.
 *
 * @example
 * lossesOf(wavWithLosses({ sampleRate: 10, samples: new Float32Array(10) }, [{ at: 0.2, seconds: 0.1 }]))
 * // [{ at: 0.2, seconds: 0.1 }]
 * lossesOf(new Uint8Array(4)) // []
 */
export function lossesOf(wav: Uint8Array): Loss[] {
  let before = 0;
  return labelsOf(wav)
    .filter(({ name }) => name === LOST)
    .map(({ at, seconds }) => {
      const loss = { at: Math.max(0, at - before), seconds };
      before += seconds;
      return loss;
    });
}

/**
 * Only what did come of a sound, as its microphone gave it.
 *
 * @example
 * withoutLosses({ sampleRate: 10, samples: new Float32Array(10) }, [{ at: 0.5, seconds: 0.2 }]).samples.length // 8
 */
export function withoutLosses({ sampleRate, samples }: Sound, losses: readonly Loss[]): Sound {
  const pieces: Float32Array[] = [];
  let from = 0;
  let before = 0;
  for (const { at, seconds } of losses) {
    const to = Math.round((at + before) * sampleRate);
    pieces.push(samples.subarray(from, to));
    from = to + Math.round(seconds * sampleRate);
    before += seconds;
  }
  return { sampleRate, samples: joined([...pieces, samples.subarray(from)]) };
}

/**
 * Where something lies with the losses in it that comes behind so much sound that did come.
 *
 * @example
 * amongLosses(0.7, [{ at: 0.5, seconds: 0.2 }, { at: 0.8, seconds: 1 }]) // 0.8999999999999999
 */
export function amongLosses(at: Seconds, losses: readonly Loss[]): Seconds {
  return losses.reduce((sum, loss) => (loss.at <= at ? sum + loss.seconds : sum), at);
}
