import { Injectable } from '@nestjs/common';
import { soundEvents, type SoundEvent } from '@eurhythm/core/rounds';
import {
  mix,
  pcm16,
  readWav,
  resample,
  synthSound,
  wavHeader,
  type PlacedSamples,
} from '@eurhythm/core/sound';
import type { Seconds } from '@eurhythm/core/units';
import { VoiceService } from '../voice/voice.service.ts';
import type { PlayedSession } from './playedSession.service.ts';

/** Rate of the files: what every player takes. */
const RATE = 44_100;
/** The last bell rings out behind the end. */
const TAIL: Seconds = 2;

export interface RenderedSound {
  /** Size of the whole file in bytes. */
  readonly bytes: number;
  readonly pieces: AsyncGenerator<Uint8Array, void>;
}

/** Renders sessions to mono 16-bit WAV at 44.1 kHz, a second at a time. */
@Injectable()
export class RenderedSoundService {
  constructor(private readonly voice: VoiceService) {}

  async wav({ seconds, rounds }: PlayedSession): Promise<RenderedSound> {
    const events = rounds.flatMap(({ at, round }) =>
      soundEvents(round).map((event) => ({ ...event, at: at + event.at })),
    );
    events.sort((a, b) => a.at - b.at);
    const samplesOf = await this.samples(events);
    const placed = (function* (): Generator<PlacedSamples> {
      for (const event of events)
        yield { at: event.at, gain: event.gain, samples: samplesOf.get(keyOf(event))! };
    })();
    const count = Math.round((seconds + TAIL) * RATE);
    return { bytes: 44 + count * 2, pieces: pieces(mix(placed, seconds + TAIL, RATE), count) };
  }

  /** Every different sound once, at the rate of the file. */
  private async samples(events: readonly SoundEvent[]): Promise<Map<string, Float32Array>> {
    const samples = new Map<string, Float32Array>();
    for (const event of events) {
      const key = keyOf(event);
      if (samples.has(key)) continue;
      if (event.source.kind === 'synth') {
        samples.set(key, synthSound(event.source.sound, RATE).samples);
        continue;
      }
      const read = readWav(await this.voice.wav(event.source.id));
      if (!read.ok) throw new Error(`a clip cannot be read: ${read.message}`);
      samples.set(key, resample(read.sound, RATE).samples);
    }
    return samples;
  }
}

function keyOf({ source }: SoundEvent): string {
  return source.kind === 'clip' ? source.id : source.sound;
}

async function* pieces(chunks: Iterable<Float32Array>, count: number): AsyncGenerator<Uint8Array, void> {
  yield wavHeader(RATE, count);
  for (const chunk of chunks) {
    yield new Uint8Array(pcm16(chunk).buffer);
    // Other requests get their turn between two seconds of sound.
    await new Promise((done) => setImmediate(done));
  }
}
