import { mix, pcm16 } from '@eurhythm/core/sound';
import { FILE_RATE, type SoundPiece } from './soundPlan.ts';

/** What is mixed into, piece after piece: new memory for each takes longer than the mixing. */
let scratch = new Float32Array(0);

/** A piece of a session as 16-bit samples; `sounds` are the samples of its sources. */
export function mixPiece(piece: SoundPiece, sounds: readonly Float32Array[]): Uint8Array<ArrayBuffer> {
  const events = Array.from(piece.at, (at, i) => ({
    at,
    gain: piece.gain[i]!,
    samples: sounds[piece.source[i]!]!,
  }));
  const length = Math.round(piece.seconds * FILE_RATE);
  if (scratch.length < length) scratch = new Float32Array(length);
  const first = Math.round(piece.from * FILE_RATE);
  return new Uint8Array(pcm16(mix(scratch.subarray(0, length), events, FILE_RATE, first)).buffer);
}
