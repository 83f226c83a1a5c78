import type { InputEvents, InputWish, StrikeInput } from './StrikeInput.ts';
import { openMicrophoneInput } from './microphone/microphoneInput.ts';
import { openMotionInput } from './motionInput.ts';
import { openSimulatedInput } from './simulatedInput.ts';
import { openTapInput } from './tapInput.ts';
import { openSensorInput } from './sensorInput.ts';

/** Opens what is to hear strikes. @throws with a sentence that says why it cannot and what to do. */
export async function openStrikeInput(
  { kind, keepsSound, pretends, code }: InputWish,
  watch: InputEvents,
): Promise<StrikeInput> {
  switch (kind) {
    case 'microphone':
      return openMicrophoneInput(watch, keepsSound);
    case 'motion':
      return openMotionInput(watch);
    case 'sensor':
      return openSensorInput(watch, code);
    case 'pretend':
      return openSimulatedInput(watch, pretends);
    case 'taps':
      return openTapInput(watch);
    default:
      return kind satisfies never;
  }
}
