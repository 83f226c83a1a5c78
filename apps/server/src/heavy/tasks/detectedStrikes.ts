import { STRIKE_SOUND_RATES, STRIKE_SOUND_SECONDS, type DetectedStrikes } from '@eurhythm/contract';
import { readWav } from '@eurhythm/core/sound';
import { DETECTOR_VERSION, detectStrikes, hasMusic } from '@eurhythm/core/strikes';

/** What is heard in a WAV file, or the sentence that refuses it. */
export type HeardFile =
  { readonly ok: true; readonly found: DetectedStrikes } | { readonly ok: false; readonly message: string };

export function detectedStrikes(wav: Uint8Array): HeardFile {
  const read = readWav(wav, STRIKE_SOUND_SECONDS);
  if (!read.ok) return read;
  const { sampleRate, samples } = read.sound;
  const seconds = samples.length / sampleRate;
  const { min, max } = STRIKE_SOUND_RATES;
  if (sampleRate < min || sampleRate > max)
    return refused(`Strikes are heard in ${min} to ${max} samples a second; this file has ${sampleRate}.`);
  const onsets = detectStrikes(read.sound);
  const found = { sampleRate, seconds, onsets, hasMusic: hasMusic(read.sound), detector: DETECTOR_VERSION };
  return { ok: true, found };
}

function refused(message: string): HeardFile {
  return { ok: false, message };
}
