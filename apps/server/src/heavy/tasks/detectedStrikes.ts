import { STRIKE_SOUND_RATES, STRIKE_SOUND_SECONDS, type DetectedStrikes } from '@eurhythm/contract';
import { amongLosses, lossesOf, withoutLosses } from '@eurhythm/core/formats';
import { readWav } from '@eurhythm/core/sound';
import { DETECTOR_VERSION, detectStrikes, hasMusic } from '@eurhythm/core/strikes';

/** What is heard in a WAV file, or the sentence that refuses it. */
export type HeardFile =
  { readonly ok: true; readonly found: DetectedStrikes } | { readonly ok: false; readonly message: string };

/** Where a file says that some of its sound was lost, the silence in its place is not listened to: live it was not there either. */
export function detectedStrikes(wav: Uint8Array): HeardFile {
  const read = readWav(wav, STRIKE_SOUND_SECONDS);
  if (!read.ok) return read;
  const { sampleRate, samples } = read.sound;
  const seconds = samples.length / sampleRate;
  const { min, max } = STRIKE_SOUND_RATES;
  if (sampleRate < min || sampleRate > max)
    return refused(`Strikes are heard in ${min} to ${max} samples a second; this file has ${sampleRate}.`);
  const losses = lossesOf(wav);
  const came = withoutLosses(read.sound, losses);
  const onsets = detectStrikes(came).map((onset) => ({ ...onset, at: amongLosses(onset.at, losses) }));
  const found = { sampleRate, seconds, onsets, hasMusic: hasMusic(came), detector: DETECTOR_VERSION };
  return { ok: true, found };
}

function refused(message: string): HeardFile {
  return { ok: false, message };
}
