import { useEffect, useState } from 'react';
import { ClapDetector } from '@eurhythm/core/strikes';
import { useStable } from '../../ui/useStable.ts';
import { hearMicrophone, type Microphone } from '../../strikeInputs/microphone/microphone.ts';

const KEY = 'eurhythm.claps';

export interface Claps {
  readonly isOn: boolean;
  /** Why nothing is heard; empty while it is. */
  readonly failure: string;
  set(isOn: boolean): void;
}

/** Two loud claps near this device do something, where that is switched on; nothing counts while the device sounds itself. */
export function useClaps(onTwo: () => void, sounds: () => boolean): Claps {
  const [isOn, setOn] = useState(() => localStorage.getItem(KEY) === 'yes');
  const [failure, setFailure] = useState('');
  const two = useStable(onTwo);
  const isMuted = useStable(sounds);
  useEffect(() => {
    if (!isOn) return;
    let microphone: Microphone | null = null;
    let isGone = false;
    hearMicrophone(() =>
      setFailure('The microphone is gone: claps are not heard. The keys work as before.'),
    ).then(
      (opened) => {
        if (isGone) return opened.close();
        microphone = opened;
        const detector = new ClapDetector(opened.sampleRate);
        opened.samples.onmessage = ({ data }: MessageEvent<Float32Array>) => {
          if (detector.push(data, isMuted()).length > 0) two();
        };
      },
      (error: Error) => setFailure(error.message),
    );
    return () => {
      isGone = true;
      microphone?.close();
    };
  }, [isOn, two, isMuted]);
  return {
    isOn,
    failure: isOn ? failure : '',
    set: (next) => {
      localStorage.setItem(KEY, next ? 'yes' : 'no');
      setFailure('');
      setOn(next);
    },
  };
}
