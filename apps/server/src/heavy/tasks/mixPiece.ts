import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { SoundEvent } from '@eurhythm/core/rounds';
import { mix, pcm16, readWav, resample, synthSound } from '@eurhythm/core/sound';
import { FILE_RATE, keyOf, type SoundPiece } from './soundPlan.ts';

/** So many samples are remembered in a thread: seven minutes of calls, 80 MB. */
const MOST_REMEMBERED = 20_000_000;

const remembered = new Map<string, Float32Array>();
let count = 0;

/** A piece of a session as 16-bit samples, mixed from the clips of this folder. */
export function mixPiece(piece: SoundPiece, folder: string): Uint8Array<ArrayBuffer> {
  const samples = piece.sources.map((source) => samplesOf(source, folder));
  const events = Array.from(piece.at, (at, i) => ({
    at,
    gain: piece.gain[i]!,
    samples: samples[piece.source[i]!]!,
  }));
  const whole = new Int16Array(Math.round(piece.seconds * FILE_RATE));
  let at = 0;
  for (const chunk of mix(events, piece.seconds, FILE_RATE, piece.from)) {
    whole.set(pcm16(chunk), at);
    at += chunk.length;
  }
  return new Uint8Array(whole.buffer);
}

/** A sound at the rate of the file, each read once as long as there is room. */
function samplesOf(source: SoundEvent['source'], folder: string): Float32Array {
  const key = keyOf(source);
  const known = remembered.get(key);
  if (known) return known;
  const made = source.kind === 'synth' ? synthSound(source.sound, FILE_RATE) : clipOf(source.id, folder);
  if (count + made.samples.length > MOST_REMEMBERED) {
    remembered.clear();
    count = 0;
  }
  remembered.set(key, made.samples);
  count += made.samples.length;
  return made.samples;
}

function clipOf(id: string, folder: string): ReturnType<typeof resample> {
  const read = readWav(readFileSync(join(folder, `${id}.wav`)));
  if (!read.ok) throw new Error(`a clip cannot be read: ${read.message}`);
  return resample(read.sound, FILE_RATE);
}
