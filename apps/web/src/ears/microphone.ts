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
  close(): void;
}

/**
 * Everything that the microphone hears, as mono samples in pieces of a few milliseconds. `onEnd` is told when it is unplugged.
 * @throws NoMicrophone
 */
export async function hearMicrophone(
  onSamples: (samples: Float32Array, sampleRate: number) => void,
  onEnd: () => void,
): Promise<Microphone> {
  const stream = await openMicrophone();
  const context = new AudioContext();
  const { default: url } = await import('../workers/samples.worklet.ts?worker&url');
  await context.audioWorklet.addModule(url);
  const source = new MediaStreamAudioSourceNode(context, { mediaStream: stream });
  const node = new AudioWorkletNode(context, 'samples', { numberOfOutputs: 0 });
  node.port.onmessage = ({ data }: MessageEvent<Float32Array>) => onSamples(data, context.sampleRate);
  source.connect(node);
  void context.resume();
  for (const track of stream.getTracks()) track.addEventListener('ended', onEnd);
  const [track] = stream.getAudioTracks();
  const { latency } = (track?.getSettings() ?? {}) as { readonly latency?: number };
  return {
    name: track?.label || 'microphone',
    latency: latency ?? 0,
    close: () => {
      node.port.onmessage = null;
      for (const each of stream.getTracks()) {
        each.removeEventListener('ended', onEnd);
        each.stop();
      }
      void context.close();
    },
  };
}
