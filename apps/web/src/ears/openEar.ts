import type { Ear, EarKind, EarWatch, PretendWork } from './Ear.ts';
import { openMicrophoneEar } from './microphone/microphoneEar.ts';
import { openMotionEar } from './motionEar.ts';
import { openPretendEar } from './pretendEar.ts';
import { openSensorEar } from './sensorEar.ts';

export interface EarWish {
  readonly kind: EarKind;
  /** Keeps the sound too, where it is sound that is heard. */
  readonly keepsSound: boolean;
  /** What a virtual fighter does. */
  readonly pretends: PretendWork;
  /** The code of the class, on a device that is not the coach's. */
  readonly code: string | null;
}

/** Opens what is to hear strikes. @throws with a sentence that says why it cannot and what to do. */
export async function openEar({ kind, keepsSound, pretends, code }: EarWish, watch: EarWatch): Promise<Ear> {
  switch (kind) {
    case 'microphone':
      return openMicrophoneEar(watch, keepsSound);
    case 'motion':
      return openMotionEar(watch);
    case 'sensor':
      return openSensorEar(watch, code);
    case 'pretend':
      return openPretendEar(watch, pretends);
    default:
      return kind satisfies never;
  }
}
