import type { Page } from '@playwright/test';
import { impactSound } from '@eurhythm/core/standIns';
import { seededRandom } from '@eurhythm/core/units';

const RATE = 48_000;
/** What is struck has a sound of its own for each place in the class. */
const IMPACT = Array.from(
  impactSound('pad', RATE, seededRandom(8)),
  (sample) => Math.round(sample * 1e4) / 1e4,
);

/**
 * Gives a page a microphone in a quiet hall that hears a pad struck: at these instants of the clock, in milliseconds since 1970, and
 * whenever `window.strike()` is called. `isUnplugged` ends its stream on `window.unplug()`.
 */
export async function strikingMicrophone(page: Page, at: readonly number[] = []): Promise<void> {
  await page.addInitScript(
    ({ impact, rate, instants }) => {
      let open: { context: AudioContext; into: MediaStreamAudioDestinationNode; stream: MediaStream } | null =
        null;
      const buffer = new AudioBuffer({ length: impact.length, sampleRate: rate });
      buffer.copyToChannel(Float32Array.from(impact), 0);
      const play = (inSeconds: number): void => {
        if (!open) return;
        const source = new AudioBufferSourceNode(open.context, { buffer });
        source.connect(new GainNode(open.context, { gain: 0.5 })).connect(open.into);
        source.start(open.context.currentTime + inSeconds);
      };
      const hiss = (context: AudioContext): AudioBufferSourceNode => {
        const noise = new AudioBuffer({ length: 2 * context.sampleRate, sampleRate: context.sampleRate });
        const samples = noise.getChannelData(0);
        let state = 1;
        for (let i = 0; i < samples.length; i++) {
          state = (state * 16_807) % 2_147_483_647;
          samples[i] = 0.004 * (state / 2_147_483_647 - 0.5);
        }
        return new AudioBufferSourceNode(context, { buffer: noise, loop: true });
      };
      navigator.mediaDevices.getUserMedia = async () => {
        const context = new AudioContext();
        await context.resume();
        const into = new MediaStreamAudioDestinationNode(context);
        const room = hiss(context);
        room.connect(into);
        room.start();
        open = { context, into, stream: into.stream };
        for (const instant of instants) {
          const inSeconds = (instant - Date.now()) / 1000;
          if (inSeconds > 0) play(inSeconds);
        }
        return into.stream;
      };
      Object.assign(window, {
        strike: () => play(0.01),
        unplug: () => {
          for (const track of open?.stream.getTracks() ?? []) track.dispatchEvent(new Event('ended'));
        },
      });
    },
    { impact: IMPACT, rate: RATE, instants: [...at] },
  );
}

/** Strikes once, now. */
export const strikeNow = (page: Page): Promise<void> =>
  page.evaluate(() => (window as unknown as { strike(): void }).strike());
