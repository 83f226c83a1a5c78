import { encodeWav, readWav } from '@eurhythm/core/sound';
import { decodedSound } from '../../../strikeInputs/decodedSound.ts';
import { openMicrophone } from '../../../strikeInputs/microphone/microphone.ts';

/** Longest take; a forgotten microphone stops by itself. */
const MOST_MS = 5000;

export interface Take {
  /** Ends the take; gives it as a WAV file. */
  stop(): void;
  readonly wav: Promise<Blob>;
}

/** Begins a take from the microphone. @throws NoMicrophone when there is none or it may not be used. */
export async function startTake(): Promise<Take> {
  const stream = await openMicrophone();
  const recorder = new MediaRecorder(stream);
  const parts: Blob[] = [];
  recorder.ondataavailable = (event) => parts.push(event.data);
  const ended = new Promise<void>((done) => (recorder.onstop = () => done()));
  recorder.start();
  const stop = (): void => {
    if (recorder.state !== 'inactive') recorder.stop();
    for (const track of stream.getTracks()) track.stop();
  };
  const timer = setTimeout(stop, MOST_MS);
  const wav = ended.then(() => {
    clearTimeout(timer);
    return asWav(new Blob(parts, { type: recorder.mimeType }));
  });
  return { stop, wav };
}

/** Any sound that the browser can read, as a mono WAV file. */
export async function asWav(file: Blob): Promise<Blob> {
  const sound = await decodedSound(await file.arrayBuffer(), 44_100);
  return new Blob([encodeWav(sound)], { type: 'audio/wav' });
}

/** Quiet before and after a clip, so that it is a whole recording again and not one that begins within its call. */
const QUIET_SECONDS = 0.3;

export function withQuiet(clip: ArrayBuffer): Blob {
  const read = readWav(new Uint8Array(clip));
  if (!read.ok) throw new Error(read.message);
  const { sampleRate, samples } = read.sound;
  const quiet = Math.round(QUIET_SECONDS * sampleRate);
  const whole = new Float32Array(samples.length + 2 * quiet);
  whole.set(samples, quiet);
  return new Blob([encodeWav({ sampleRate, samples: whole })], { type: 'audio/wav' });
}
