/** What sounds at a node, as it comes. */
export interface Samples {
  /** Brings mono samples (`Float32Array`) in pieces of some milliseconds; may be handed on to a thread, which then waits for no page. */
  readonly port: MessagePort;
  close(): void;
}

/** Everything that sounds at a node of this context; where nothing does, nothing comes, or silence if that is to be reported. */
export async function samplesAt(
  node: AudioNode,
  context: AudioContext,
  { tellsSilence }: { readonly tellsSilence: boolean },
): Promise<Samples> {
  const { default: url } = await import('../../workers/samples.worklet.ts?worker&url');
  await context.audioWorklet.addModule(url);
  const worklet = new AudioWorkletNode(context, 'samples', {
    numberOfOutputs: 0,
    processorOptions: { tellsSilence },
  });
  const { port1, port2 } = new MessageChannel();
  worklet.port.postMessage(port1, [port1]);
  node.connect(worklet);
  return {
    port: port2,
    close: () => {
      worklet.port.postMessage(null);
      node.disconnect(worklet);
      port2.close();
    },
  };
}
