import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { SoundEvent } from '@eurhythm/core/rounds';
import { readWav, resample, synthSound, type Sound } from '@eurhythm/core/sound';
import { FILE_RATE } from './soundPlan.ts';

/** These sounds at the rate of the file, in memory that all threads share; clips are read from this folder. */
export function fileSounds(
  sources: readonly SoundEvent['source'][],
  folder: string,
): Float32Array<SharedArrayBuffer>[] {
  return sources.map((source) => {
    const { samples } =
      source.kind === 'synth' ? synthSound(source.sound, FILE_RATE) : clipOf(source.id, folder);
    const shared = new Float32Array(new SharedArrayBuffer(samples.byteLength));
    shared.set(samples);
    return shared;
  });
}

function clipOf(id: string, folder: string): Sound {
  const read = readWav(readFileSync(join(folder, `${id}.wav`)));
  if (!read.ok) throw new Error(`a clip cannot be read: ${read.message}`);
  return resample(read.sound, FILE_RATE);
}
