import { STRIKE_SOUND_RATES, STRIKE_SOUND_SECONDS, type DetectedStrikes } from '@eurhythm/contract';
import { readWav } from '@eurhythm/core/sound';
import { DETECTOR_VERSION, detectStrikes } from '@eurhythm/core/strikes';
import { clockText } from '@eurhythm/core/units';

/** What is heard in a WAV file, or the sentence that refuses it. */
export type HeardFile =
  { readonly ok: true; readonly found: DetectedStrikes } | { readonly ok: false; readonly message: string };

export function detectedStrikes(wav: Uint8Array): HeardFile {
  const read = readWav(wav);
  if (!read.ok) return read;
  const { sampleRate, samples } = read.sound;
  const seconds = samples.length / sampleRate;
  const { min, max } = STRIKE_SOUND_RATES;
  if (sampleRate < min || sampleRate > max)
    return refused(`Strikes are heard in ${min} to ${max} samples a second; this file has ${sampleRate}.`);
  if (seconds > STRIKE_SOUND_SECONDS)
    return refused(
      `A recording is at most ${clockText(STRIKE_SOUND_SECONDS)} long; this one is ${clockText(seconds)}. Cut it in parts.`,
    );
  const onsets = detectStrikes({ sampleRate, samples });
  return { ok: true, found: { sampleRate, seconds, onsets, detector: DETECTOR_VERSION } };
}

function refused(message: string): HeardFile {
  return { ok: false, message };
}
