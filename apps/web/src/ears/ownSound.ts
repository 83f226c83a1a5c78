/** What this page plays, before it leaves for the loudspeaker. */
export interface OwnSound {
  readonly context: AudioContext;
  readonly out: AudioNode;
}

const open: OwnSound[] = [];

/** Makes known that the page may play something from now on; gives what takes it back. */
export function playsHere(sound: OwnSound): () => void {
  open.push(sound);
  return () => {
    const at = open.indexOf(sound);
    if (at >= 0) open.splice(at, 1);
  };
}

/** What may play on this page now, the newest where there are several; null where nothing does. */
export const ownSound = (): OwnSound | null => open.at(-1) ?? null;

/** Everything that it plays, silence too, as mono samples in pieces of some milliseconds. Gives what ends it. */
export async function hearOwnSound(
  { context, out }: OwnSound,
  onSamples: (samples: Float32Array) => void,
): Promise<() => void> {
  const { default: url } = await import('../workers/samples.worklet.ts?worker&url');
  await context.audioWorklet.addModule(url);
  const node = new AudioWorkletNode(context, 'samples', {
    numberOfOutputs: 0,
    processorOptions: { tellsSilence: true },
  });
  node.port.onmessage = ({ data }: MessageEvent<Float32Array>) => onSamples(data);
  out.connect(node);
  return () => {
    node.port.onmessage = null;
    out.disconnect(node);
  };
}
