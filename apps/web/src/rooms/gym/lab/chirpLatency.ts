import { joined } from '@eurhythm/core/sound';
import { SampleClock, chirp, findChirp } from '@eurhythm/core/strikes';
import { median } from 'simple-statistics';
import { hearMicrophone } from '../../../strikeInputs/microphone/microphone.ts';

/** So many chirps are played, so far apart, in seconds. */
const TIMES = 4;
const APART = 0.9;
/** A chirp that is not back after so long does not come back. */
const LISTEN = 0.85;
const BEFORE = 0.6;

/** From the loudspeaker to the samples of the microphone. */
export interface ChirpLatency {
  /** The whole way, in seconds, and how far the chirps lie apart in it. */
  readonly whole: number;
  readonly spread: number;
  /** Of it what the browser knows of the loudspeaker; the rest is the microphone's. */
  readonly loudspeaker: number;
  readonly microphone: number;
  readonly heard: number;
}

/** Plays chirps and hears them come back; null where none did. @throws NoMicrophone */
export async function chirpLatency(extra: number): Promise<ChirpLatency | null> {
  const pieces: Float32Array[] = [];
  const microphone = await hearMicrophone(() => {});
  const { sampleRate: rate } = microphone;
  const clock = new SampleClock(rate);
  microphone.samples.onmessage = ({ data }: MessageEvent<Float32Array>) => {
    pieces.push(data);
    clock.take(data.length, performance.now() / 1000);
  };
  const context = new AudioContext();
  try {
    await context.resume();
    const sound = chirp(context.sampleRate);
    const buffer = new AudioBuffer({ length: sound.length, sampleRate: context.sampleRate });
    buffer.copyToChannel(sound, 0);
    const start = context.currentTime + BEFORE;
    const page = performance.now() / 1000 + BEFORE;
    for (let n = 0; n < TIMES; n++) {
      const source = new AudioBufferSourceNode(context, { buffer });
      source.connect(context.destination);
      source.start(start + n * APART);
    }
    await new Promise((done) => setTimeout(done, 1000 * (BEFORE + TIMES * APART + 0.4)));
    const all = joined(pieces);
    const ahead = clock.from;
    const ways = Array.from({ length: TIMES }, (_, n) => {
      const from = Math.max(0, Math.round((page + n * APART - ahead) * rate));
      const found = findChirp(all.subarray(from, from + Math.round(LISTEN * rate)), rate);
      return found === null ? null : from / rate + ahead + found - (page + n * APART);
    }).filter((way) => way !== null);
    if (ways.length === 0) return null;
    const whole = median(ways);
    const loudspeaker = (context.outputLatency || context.baseLatency || 0) + extra;
    return {
      whole,
      spread: Math.max(...ways) - Math.min(...ways),
      loudspeaker,
      microphone: Math.max(0, whole - loudspeaker),
      heard: ways.length,
    };
  } finally {
    microphone.close();
    void context.close();
  }
}
