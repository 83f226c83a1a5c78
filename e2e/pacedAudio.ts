import type { BrowserContext } from '@playwright/test';

/**
 * Gives pages an audio device that loses nothing, however busy the machine is: the browser's own audio nodes, rendered piece by piece
 * as far as the page's clock has come. A machine without a sound card plays into nothing by a clock that falls behind, with holes, and
 * stories about what is heard when would tell of the machine. All contexts of a page are one; what a page's microphone hears is a node of it.
 */
export async function pacedAudio(context: BrowserContext): Promise<void> {
  await context.addInitScript(() => {
    const RATE = 48_000;
    /** In samples: some 21 ms. */
    const PIECE = 1024;
    /** No page of a story stands longer, in seconds. */
    const LONGEST = 300;
    const LATENCY = 0.02;

    type Device = OfflineAudioContext & { state: string };
    const open = (): Device => {
      const device = new OfflineAudioContext(1, LONGEST * RATE, RATE) as Device;
      let state: AudioContextState = 'suspended';
      let zero = 0;
      const elapsed = (): number => (state === 'running' ? (performance.now() - zero) / 1000 : 0);
      const piece = (n: number): void => {
        const until = (n * PIECE) / RATE;
        if (until >= LONGEST) return;
        void suspend.call(device, until).then(() => {
          piece(n + 1);
          const goOn = (): void => void resume.call(device);
          const early = until - elapsed();
          if (early > 0) setTimeout(goOn, 1000 * early);
          else goOn();
        });
      };
      const { suspend, resume } = OfflineAudioContext.prototype;
      Object.defineProperties(device, {
        state: { get: () => state },
        currentTime: { get: elapsed },
        baseLatency: { value: LATENCY },
        outputLatency: { value: LATENCY },
        getOutputTimestamp: {
          value: () => ({
            contextTime: Math.max(0, elapsed() - LATENCY),
            performanceTime: performance.now(),
          }),
        },
        // As a browser does, it stays silent until somebody touches the page.
        resume: {
          value: async () => {
            if (state === 'running' || !navigator.userActivation.hasBeenActive) return;
            state = 'running';
            zero = performance.now();
            piece(1);
            void device.startRendering();
            device.dispatchEvent(new Event('statechange'));
          },
        },
        suspend: { value: async () => {} },
        close: { value: async () => {} },
      });
      return device;
    };
    let device: Device | null = null;

    /** A stream is the node that its sound comes out of. */
    class Track extends EventTarget {
      label = '';
      stop(): void {}
      getSettings(): object {
        return {};
      }
    }
    const streamOf = (node: AudioNode) => {
      const tracks = [new Track()];
      return { node, getTracks: () => tracks, getAudioTracks: () => tracks };
    };
    Object.assign(window, {
      AudioContext: function () {
        return (device ??= open());
      },
      MediaStreamAudioDestinationNode: function (on: BaseAudioContext) {
        const node = new GainNode(on);
        return Object.assign(node, { stream: streamOf(node) });
      },
      MediaStreamAudioSourceNode: function (
        _: BaseAudioContext,
        { mediaStream }: { mediaStream: ReturnType<typeof streamOf> },
      ) {
        return mediaStream.node;
      },
    });
  });
}
