import { MotionDetector } from '@eurhythm/core/strikes';
import type { StrikeInput, InputEvents } from './StrikeInput.ts';

/** Why motion is not heard, as a sentence that says what to do. */
export class NoMotion extends Error {}

/** A phone that says nothing for so long has no such sensor, or may not tell. */
const SILENT_MS = 2500;

/** What some browsers ask before they tell motion. */
type AskedMotion = typeof DeviceMotionEvent & { requestPermission?: () => Promise<string> };

/**
 * Hears strikes by the motion of this phone, taped to the bag or in the pouch of a pad.
 * @throws NoMotion
 */
export async function openMotionInput(watch: InputEvents): Promise<StrikeInput> {
  if (typeof DeviceMotionEvent === 'undefined')
    throw new NoMotion('This browser tells no motion. Open this page on a phone, over https.');
  const asked = DeviceMotionEvent as AskedMotion;
  if (asked.requestPermission && (await asked.requestPermission().catch(() => '')) !== 'granted')
    throw new NoMotion(
      'The phone may not tell its motion. Allow “motion and orientation” for this page, and try again.',
    );
  const detector = new MotionDetector();
  let isHeard = false;
  const onMotion = (event: DeviceMotionEvent): void => {
    const { x, y, z } = event.accelerationIncludingGravity ?? event.acceleration ?? {};
    if (typeof x !== 'number' || typeof y !== 'number' || typeof z !== 'number') return;
    isHeard = true;
    const strike = detector.push({ at: event.timeStamp / 1000, x, y, z });
    if (strike) watch.onStrike(strike);
  };
  window.addEventListener('devicemotion', onMotion);
  const close = (): void => window.removeEventListener('devicemotion', onMotion);
  await new Promise((done) => setTimeout(done, SILENT_MS));
  if (!isHeard) {
    close();
    throw new NoMotion('This device tells no motion. Use a phone, or the microphone.');
  }
  return {
    source: 'motion',
    device: 'motion of this phone',
    detector: null,
    leastStrength: null,
    settled: () => Promise.resolve(),
    sound: () => Promise.resolve(null),
    close,
  };
}
