import { useEffect, useRef, useState } from 'react';
import type { VoiceClip } from '@eurhythm/core/calls';
import type { SynthSound } from '@eurhythm/core/sound';
import { toast } from 'sonner';
import { AudioOutput } from './AudioOutput.ts';
import { NO_SOUND, makesSound } from './SilentOutput.ts';

export interface OpenOutput {
  /** The output once something was to be heard; null before. */
  readonly output: AudioOutput | null;
  /** Opens the output; browsers let it sound only after a press. */
  open(): AudioOutput;
  /** Lets a clip be heard at once. */
  hearClip(clip: Pick<VoiceClip, 'id'>): Promise<void>;
  hearSound(sound: SynthSound): void;
}

/** An output of its own for a page that lets single sounds be heard. */
export function useAudioOutput(): OpenOutput {
  const held = useRef<AudioOutput | null>(null);
  const [output, setOutput] = useState<AudioOutput | null>(null);
  useEffect(() => () => held.current?.close(), []);
  const open = (): AudioOutput => {
    if (!makesSound()) {
      toast.error(NO_SOUND);
      throw new Error(NO_SOUND);
    }
    if (!held.current) {
      held.current = new AudioOutput();
      setOutput(held.current);
    }
    held.current.wake();
    return held.current;
  };
  return {
    output,
    open,
    hearClip: async ({ id }) => {
      const opened = open();
      await opened.load([id], () => {});
      opened.play(
        { at: 0, bus: 'call', source: { kind: 'clip', id }, gain: 1 },
        opened.context.currentTime + 0.03,
      );
    },
    hearSound: (sound) => {
      const opened = open();
      const bus = sound.startsWith('bell') ? 'bell' : 'tick';
      opened.play(
        { at: 0, bus, source: { kind: 'synth', sound }, gain: 1 },
        opened.context.currentTime + 0.03,
      );
    },
  };
}
