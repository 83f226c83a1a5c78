import { encodeWav, levelClip, parsePhones, readWav, vowelOnset } from '@eurhythm/core/sound';
import type { Seconds } from '@eurhythm/core/units';

/** A spoken text as it is kept: levelled, with its length, its centre and the phones that say it. */
export interface FinishedClip {
  readonly wav: Uint8Array;
  readonly seconds: Seconds;
  readonly centre: Seconds;
  readonly phones: readonly string[];
}

/** What the synthesiser made and printed of a text; null where nothing can be heard. A text in letters that it cannot read is a pause to it. */
export function finishedClip(wav: Uint8Array, printed: string): FinishedClip | null {
  const read = readWav(wav);
  const levelled = read.ok ? levelClip(read.sound) : null;
  const timed = parsePhones(printed);
  const phones = timed.map(({ phone }) => phone).filter((phone) => phone !== 'pau');
  if (!levelled || phones.length === 0) return null;
  const seconds = levelled.sound.samples.length / levelled.sound.sampleRate;
  const onset = vowelOnset(timed) ?? levelled.cutBefore;
  const centre = Math.min(seconds, Math.max(0, onset - levelled.cutBefore));
  return { wav: encodeWav(levelled.sound), seconds, centre, phones };
}
