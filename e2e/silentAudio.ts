import type { BrowserContext } from '@playwright/test';

/**
 * Gives pages an audio output that is silent and keeps time by the page's own clock: on a machine without a sound card the browser's
 * audio clock goes slower while the machine is busy. The thread that wakes the player beats by that clock, too. Stories
 * about sound do without it.
 */
export async function silentAudio(context: BrowserContext): Promise<void> {
  await context.addInitScript(() => {
    class Quiet {
      readonly gain = { value: 1 };
      readonly context: unknown;
      constructor(context: unknown) {
        this.context = context;
      }
      connect<T>(to: T): T {
        return to;
      }
      disconnect(): void {}
      start(): void {}
      stop(): void {}
    }
    class QuietContext extends EventTarget {
      state: 'suspended' | 'running' | 'closed' = 'suspended';
      readonly sampleRate = 48_000;
      readonly baseLatency = 0.01;
      readonly outputLatency = 0;
      readonly destination = new Quiet(this);
      private zero = 0;
      get currentTime(): number {
        return this.state === 'running' ? (performance.now() - this.zero) / 1000 : 0;
      }
      getOutputTimestamp(): { contextTime: number; performanceTime: number } {
        return { contextTime: this.currentTime, performanceTime: performance.now() };
      }
      // As a browser does, it stays silent until somebody touches the page.
      async resume(): Promise<void> {
        if (this.state !== 'suspended' || !navigator.userActivation.hasBeenActive) return;
        this.state = 'running';
        this.zero = performance.now();
        this.dispatchEvent(new Event('statechange'));
      }
      async suspend(): Promise<void> {}
      async close(): Promise<void> {
        this.state = 'closed';
      }
      async decodeAudioData(bytes: ArrayBuffer): Promise<AudioBuffer> {
        // A WAV file of 16 bits: what follows its header.
        const length = Math.max(1, (bytes.byteLength - 44) >> 1);
        return new AudioBuffer({ length, sampleRate: 16_000 });
      }
    }
    class Heartbeat {
      onmessage: (() => void) | null = null;
      private readonly timer = setInterval(() => this.onmessage?.(), 200);
      terminate(): void {
        clearInterval(this.timer);
      }
    }
    const RealWorker = Worker;
    const isHeartbeat = (url: string | URL): boolean => /heartbeat/.test(String(url));
    Object.assign(window, {
      AudioContext: QuietContext,
      GainNode: Quiet,
      AudioBufferSourceNode: Quiet,
      Worker: new Proxy(RealWorker, {
        construct: (_, [url, options]: [string | URL, WorkerOptions?]) =>
          isHeartbeat(url) ? new Heartbeat() : new RealWorker(url, options),
      }),
    });
  });
}
