import {
  encodeWav,
  levelVoice,
  parsePhones,
  readWav,
  shapeVoice,
  trimClip,
  vowelOnset,
  type VoiceSound,
} from '@eurhythm/core/sound';
import type { Seconds } from '@eurhythm/core/units';

/** A spoken text as it is kept: trimmed, shaped, levelled, with its length, its centre and the phones that say it. */
export interface FinishedClip {
  readonly wav: Uint8Array;
  readonly seconds: Seconds;
  readonly centre: Seconds;
  readonly phones: readonly string[];
}

/** What the synthesiser made and printed of a text; null where nothing can be heard. A text in letters that it cannot read is a pause to it. */
export function finishedClip(wav: Uint8Array, printed: string, voiceSound: VoiceSound): FinishedClip | null {
  const read = readWav(wav);
  const trimmed = read.ok ? trimClip(read.sound) : null;
  const timed = parsePhones(printed);
  const phones = timed.map(({ phone }) => phone).filter((phone) => phone !== 'pau');
  if (!trimmed || phones.length === 0) return null;
  const { sound, cutBefore } = trimmed;
  const seconds = sound.samples.length / sound.sampleRate;
  const onset = vowelOnset(timed) ?? cutBefore;
  const centre = Math.min(seconds, Math.max(0, onset - cutBefore));
  return { wav: encodeWav(levelVoice(shapeVoice(sound, voiceSound))), seconds, centre, phones };
}
