import { useEffect, useRef, useState } from 'react';
import type { VoiceClip } from '@eurhythm/core/calls';
import type { SynthSound } from '@eurhythm/core/sound';
import { toast } from 'sonner';
import { AudioDesk } from './AudioDesk.ts';
import { NO_SOUND, makesSound } from './SilentDesk.ts';

export interface DeskInHand {
  /** The desk once something was to be heard; null before. */
  readonly desk: AudioDesk | null;
  /** Opens the desk; browsers let it sound only after a press. */
  open(): AudioDesk;
  /** Lets a clip be heard at once. */
  hearClip(clip: Pick<VoiceClip, 'id'>): Promise<void>;
  hearSound(sound: SynthSound): void;
}

/** A desk of its own for a page that lets single sounds be heard. */
export function useDesk(): DeskInHand {
  const held = useRef<AudioDesk | null>(null);
  const [desk, setDesk] = useState<AudioDesk | null>(null);
  useEffect(() => () => held.current?.close(), []);
  const open = (): AudioDesk => {
    if (!makesSound()) {
      toast.error(NO_SOUND);
      throw new Error(NO_SOUND);
    }
    if (!held.current) {
      held.current = new AudioDesk();
      setDesk(held.current);
    }
    held.current.wake();
    return held.current;
  };
  return {
    desk,
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
