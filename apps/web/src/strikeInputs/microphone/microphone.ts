import { samplesAt } from './samples.ts';

/** Why the microphone is not heard, as a sentence that says what to do. */
export class NoMicrophone extends Error {}

/** Opens the microphone, with nothing of what cleans up a telephone call. @throws NoMicrophone */
export async function openMicrophone(): Promise<MediaStream> {
  if (!navigator.mediaDevices)
    throw new NoMicrophone('This page may not use a microphone: open it on this machine, or over https.');
  try {
    return await navigator.mediaDevices.getUserMedia({
      audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false },
    });
  } catch (error) {
    const name = error instanceof DOMException ? error.name : '';
    throw new NoMicrophone(
      name === 'NotFoundError'
        ? 'No microphone was found. Plug one in; everything else works without it.'
        : 'The microphone is not allowed. Press the lock beside the address, allow the microphone, and try again; everything else works without it.',
    );
  }
}

/** A microphone that is open. */
export interface Microphone {
  /** What it is called on this device. */
  readonly name: string;
  /** From the sound to its samples, in seconds, as far as the browser knows. */
  readonly latency: number;
  /** In hertz. */
  readonly sampleRate: number;
  /** Brings all that it hears, as mono samples (`Float32Array`) in pieces of some milliseconds; may be handed on to a thread. */
  readonly samples: MessagePort;
  close(): void;
}

/** Opens the microphone and hears it. `onEnd` is reported when it is unplugged. @throws NoMicrophone */
export async function hearMicrophone(onEnd: () => void): Promise<Microphone> {
  const stream = await openMicrophone();
  const context = new AudioContext();
  const source = new MediaStreamAudioSourceNode(context, { mediaStream: stream });
  const samples = await samplesAt(source, context, { tellsSilence: false });
  void context.resume();
  for (const track of stream.getTracks()) track.addEventListener('ended', onEnd);
  const [track] = stream.getAudioTracks();
  const { latency } = (track?.getSettings() ?? {}) as { readonly latency?: number };
  return {
    name: track?.label || 'microphone',
    latency: latency ?? 0,
    sampleRate: context.sampleRate,
    samples: samples.port,
    close: () => {
      samples.close();
      for (const each of stream.getTracks()) {
        each.removeEventListener('ended', onEnd);
        each.stop();
      }
      void context.close();
    },
  };
}
