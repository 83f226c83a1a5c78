import { useEffect, useRef, useState } from 'react';
import { synthSound, type SynthSound } from '@eurhythm/core/sound';

/** What is heard again: the sound itself where there is one, else a tick for every strike; and the line beside it. */
export interface Played {
  readonly sound: {
    readonly sampleRate: number;
    readonly samples: Float32Array<ArrayBuffer>;
    /** When its first sample belongs. */
    readonly from: number;
  } | null;
  readonly onsets: readonly number[];
  readonly due: readonly number[];
  readonly seconds: number;
}

export interface Playback {
  /** Where it is played now; null while nothing is. */
  readonly at: number | null;
  play(played: Played, from: number): void;
  stop(): void;
}

/** The line beside strikes, and strikes of which no sound was kept. */
const LINE: SynthSound = 'tick-beat';
const STRIKE: SynthSound = 'tick-bar';
/** The line is softer than what is compared with it. */
const LINE_GAIN = 0.35;
const SOON = 0.1;
const LOOK_MS = 60;

/** Plays strikes again, from any instant on. */
export function usePlayback(): Playback {
  const [at, setAt] = useState<number | null>(null);
  const playing = useRef<{ context: AudioContext; timer: ReturnType<typeof setInterval> } | null>(null);
  const stop = (): void => {
    if (!playing.current) return;
    clearInterval(playing.current.timer);
    void playing.current.context.close();
    playing.current = null;
    setAt(null);
  };
  useEffect(
    () => () => {
      if (!playing.current) return;
      clearInterval(playing.current.timer);
      void playing.current.context.close();
    },
    [],
  );
  const play = ({ sound, onsets, due, seconds }: Played, from: number): void => {
    stop();
    const context = new AudioContext();
    const zero = context.currentTime + SOON - from;
    const start = (buffer: AudioBuffer, when: number, offset: number, gain: number): void => {
      const source = new AudioBufferSourceNode(context, { buffer });
      source.connect(new GainNode(context, { gain })).connect(context.destination);
      source.start(when, offset);
    };
    if (sound) {
      const buffer = new AudioBuffer({ length: sound.samples.length, sampleRate: sound.sampleRate });
      buffer.copyToChannel(sound.samples, 0);
      start(buffer, zero + Math.max(from, sound.from), Math.max(0, from - sound.from), 1);
    } else for (const each of onsets) if (each >= from) start(ticked(context, STRIKE), zero + each, 0, 0.9);
    for (const each of due) if (each >= from) start(ticked(context, LINE), zero + each, 0, LINE_GAIN);
    const timer = setInterval(() => {
      const now = context.currentTime - zero;
      if (now >= seconds) stop();
      else setAt(now);
    }, LOOK_MS);
    playing.current = { context, timer };
    void context.resume();
    setAt(from);
  };
  return { at, play, stop };
}

const buffers = new WeakMap<AudioContext, Map<SynthSound, AudioBuffer>>();

function ticked(context: AudioContext, sound: SynthSound): AudioBuffer {
  const known = buffers.get(context) ?? new Map<SynthSound, AudioBuffer>();
  buffers.set(context, known);
  let buffer = known.get(sound);
  if (!buffer) {
    const { samples, sampleRate } = synthSound(sound, context.sampleRate);
    buffer = new AudioBuffer({ length: samples.length, sampleRate });
    buffer.copyToChannel(samples as Float32Array<ArrayBuffer>, 0);
    known.set(sound, buffer);
  }
  return buffer;
}
