import { proxy, wrap } from 'comlink';
import { readTimes } from '@eurhythm/core/formats';
import { readWav, tooLong } from '@eurhythm/core/sound';
import { DETECTOR_VERSION } from '@eurhythm/core/strikes';
import { STRIKE_SOUND_BYTES, STRIKE_SOUND_RATES, STRIKE_SOUND_SECONDS } from '@eurhythm/contract';
import { decodedSound } from '../../../strikeInputs/decodedSound.ts';
import type { StrikesWork } from '../../../workers/strikes.worker.ts';

/** A strike in a file. */
export interface FileOnset {
  readonly at: number;
  readonly strength?: number;
  readonly doubtful?: boolean;
}

/** What a file brings. */
export interface HeardFile {
  readonly name: string;
  /** When it was written last: for a recording, when it ended. */
  readonly at: string;
  /** Null for a table of times. */
  readonly sound: { readonly sampleRate: number; readonly samples: Float32Array<ArrayBuffer> } | null;
  readonly seconds: number;
  readonly onsets: readonly FileOnset[];
  readonly hasMusic: boolean;
  readonly detector: string | null;
}

/** Sound of a film or of a compressed file is decoded at this rate; what is to be heard of a strike is below half of it. */
const DECODED_RATE = 24_000;

/** Reads a WAV file, the sound of a film, any sound that the browser knows, or a table of times. @throws with a sentence */
export async function readFile(file: File, onShare: (share: number) => void): Promise<HeardFile> {
  if (file.size === 0) throw new Error('This file is empty.');
  if (/\.(csv|txt|tsv)$/i.test(file.name) || file.type.startsWith('text/')) return tableOf(file);
  if (file.size > STRIKE_SOUND_BYTES)
    throw new Error(
      `A file has at most ${STRIKE_SOUND_BYTES / 1e6} MB; this one has ${Math.ceil(file.size / 1e6)}. Cut it in parts.`,
    );
  const sound = await soundOf(file);
  const seconds = sound.samples.length / sound.sampleRate;
  checkLength(seconds);
  const { min, max } = STRIKE_SOUND_RATES;
  if (sound.sampleRate < min || sound.sampleRate > max)
    throw new Error(
      `Strikes are heard in ${min} to ${max} samples a second; this file has ${sound.sampleRate}.`,
    );
  const thread = new Worker(new URL('../../../workers/strikes.worker.ts', import.meta.url), {
    type: 'module',
    name: 'strikes',
  });
  try {
    const found = await wrap<StrikesWork>(thread).whole(sound.sampleRate, sound.samples, proxy(onShare));
    return { name: file.name, at: writtenAt(file), sound, seconds, ...found, detector: DETECTOR_VERSION };
  } finally {
    thread.terminate();
  }
}

async function tableOf(file: File): Promise<HeardFile> {
  const read = readTimes(await file.text());
  if (!read.ok) throw new Error(read.message);
  const seconds = read.onsets.at(-1)!.at + 1;
  return {
    name: file.name,
    at: writtenAt(file),
    sound: null,
    seconds,
    onsets: read.onsets,
    hasMusic: false,
    detector: null,
  };
}

const writtenAt = ({ lastModified }: File): string =>
  new Date(Math.min(lastModified, Date.now())).toISOString();

async function soundOf(file: File): Promise<{ sampleRate: number; samples: Float32Array<ArrayBuffer> }> {
  const bytes = new Uint8Array(await file.arrayBuffer());
  if (/\.wav$/i.test(file.name) || String.fromCharCode(...bytes.subarray(0, 4)) === 'RIFF') {
    const read = readWav(bytes, STRIKE_SOUND_SECONDS);
    if (!read.ok) throw new Error(read.message);
    return { sampleRate: read.sound.sampleRate, samples: new Float32Array(read.sound.samples) };
  }
  const seconds = await lengthOf(file);
  if (seconds !== null) checkLength(seconds);
  try {
    return await decodedSound(bytes.buffer, DECODED_RATE);
  } catch {
    throw new Error('This browser cannot read the sound of this file. A WAV file is read everywhere.');
  }
}

/** How long a film or a compressed sound is, without decoding it; null where nobody knows. */
function lengthOf(file: File): Promise<number | null> {
  const media = document.createElement('video');
  const address = URL.createObjectURL(file);
  return new Promise<number | null>((done) => {
    media.preload = 'metadata';
    media.onloadedmetadata = () => done(Number.isFinite(media.duration) ? media.duration : null);
    media.onerror = () => done(null);
    media.src = address;
  }).finally(() => URL.revokeObjectURL(address));
}

function checkLength(seconds: number): void {
  if (seconds > STRIKE_SOUND_SECONDS) throw new Error(tooLong(seconds, STRIKE_SOUND_SECONDS));
}
