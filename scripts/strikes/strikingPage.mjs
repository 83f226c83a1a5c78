/** A browser page whose microphone stands in a quiet hall and hears a pad being struck. */
import { join } from 'node:path';
import { ROOT } from '../house.mjs';

const [{ impactSound }, { seededRandom }] = await Promise.all(
  ['simulation', 'units'].map((folder) => import(join(ROOT, `packages/core/dist/${folder}/index.js`))),
);
const RATE = 48_000;
const IMPACT = Array.from(
  impactSound('pad', RATE, seededRandom(8)),
  (sample) => Math.round(sample * 1e4) / 1e4,
);

/**
 * Gives a page that microphone, before it goes anywhere. Strikes land at these instants of the clock, in milliseconds since 1970, as much
 * later as the sound that the page plays is behind by then, and when `window.strike(inSeconds)` is called; `window.behind()` tells how
 * much that is, in seconds, and `window.behindElsewhere` is that of another page whose sound is struck to here; `window.unplug()` takes the microphone away. Where it `hearsItself` it stands beside the
 * loudspeaker of its own device: all that the page plays comes again, so loud and a little later. What sounds `beside` it, `{ sampleRate,
 * samples }`, comes again and again.
 */
export async function strikingPage(page, at = [], { hearsItself = 0, beside = null } = {}) {
  await page.addInitScript(
    ({ impact, rate, instants, loud, other }) => {
      const LATE = 0.04;
      // So far ahead that a page that stands still for a moment strikes none of them late.
      const [SOON, LOOK_MS] = [600, 20];
      const loudspeakers = [];
      const hear = (stream) => {
        const played = new MediaStreamAudioSourceNode(open.context, { mediaStream: stream });
        const gain = new GainNode(open.context, { gain: loud });
        played
          .connect(new DelayNode(open.context, { delayTime: LATE }))
          .connect(gain)
          .connect(open.into);
      };
      const { connect } = AudioNode.prototype;
      if (loud > 0)
        AudioNode.prototype.connect = function (to, ...rest) {
          if (to instanceof AudioDestinationNode) {
            const also = new MediaStreamAudioDestinationNode(this.context);
            connect.call(this, also);
            loudspeakers.push(also.stream);
            if (open) hear(also.stream);
          }
          return connect.call(this, to, ...rest);
        };
      let open = null;
      // A fighter strikes to what is heard, and that falls behind the clock where the machine is busy.
      let behind = () => window.behindElsewhere ?? 0;
      const { start } = AudioBufferSourceNode.prototype;
      AudioBufferSourceNode.prototype.start = function (when = 0, ...rest) {
        const { context } = this;
        if (when > 0 && context !== open?.context) {
          const [sound, clock] = [context.currentTime, performance.now()];
          behind = () => {
            const now = performance.now();
            const { contextTime, performanceTime } = context.getOutputTimestamp();
            const onItsWay = context.outputLatency || context.baseLatency || 0;
            const heard =
              contextTime > 0 ? contextTime + (now - performanceTime) / 1000 : context.currentTime - onItsWay;
            return (now - clock) / 1000 - (heard - sound);
          };
          AudioBufferSourceNode.prototype.start = start;
        }
        return start.call(this, when, ...rest);
      };
      const buffer = new AudioBuffer({ length: impact.length, sampleRate: rate });
      buffer.copyToChannel(Float32Array.from(impact), 0);
      const strike = (inSeconds) => {
        if (!open) return;
        const source = new AudioBufferSourceNode(open.context, { buffer });
        source.connect(new GainNode(open.context, { gain: 0.5 })).connect(open.into);
        source.start(open.context.currentTime + inSeconds);
      };
      /** Noise by a generator of Park and Miller, so that every hall is the same. */
      const room = (context) => {
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
        const noise = room(context);
        noise.connect(into);
        noise.start();
        if (other) {
          const heard = new AudioBuffer({ length: other.samples.length, sampleRate: other.sampleRate });
          heard.copyToChannel(Float32Array.from(other.samples), 0);
          const source = new AudioBufferSourceNode(context, { buffer: heard, loop: true });
          source.connect(into);
          source.start();
        }
        open = { context, into };
        loudspeakers.forEach(hear);
        for (const track of into.stream.getTracks())
          Object.defineProperty(track, 'label', { value: 'microphone by the bag' });
        let left = instants.filter((instant) => instant > Date.now());
        const timer = setInterval(() => {
          const now = Date.now() - 1000 * behind();
          for (const instant of left) if (instant - now < SOON) strike(Math.max(0, (instant - now) / 1000));
          left = left.filter((instant) => instant - now >= SOON);
          if (left.length === 0) clearInterval(timer);
        }, LOOK_MS);
        return into.stream;
      };
      Object.assign(window, {
        strike,
        behind: () => behind(),
        unplug: () => {
          for (const track of open?.into.stream.getTracks() ?? []) track.dispatchEvent(new Event('ended'));
        },
      });
    },
    {
      impact: IMPACT,
      rate: RATE,
      instants: [...at],
      loud: hearsItself,
      other: beside && {
        ...beside,
        samples: Array.from(beside.samples, (sample) => Math.round(sample * 1e4) / 1e4),
      },
    },
  );
}
