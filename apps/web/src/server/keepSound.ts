import type { AttemptView } from '@eurhythm/contract';
import type { KeptSound } from '../strikeInputs/StrikeInput.ts';
import { Refused, sendForm } from './api.ts';

const AGAIN_MS = 800;
const TIMES = 8;

/** Keeps the sound of a trial, which may be on its way still. @throws with a sentence when it cannot be kept. */
export async function keepSound(attemptId: string, { wav, from }: KeptSound): Promise<void> {
  const form = new FormData();
  form.set('file', wav, 'trial.wav');
  for (let time = 1; ; time++) {
    try {
      await sendForm<AttemptView>('PUT', `attempts/${attemptId}/recording?from=${from.toFixed(3)}`, form);
      return;
    } catch (error) {
      const isEarly = error instanceof Refused && (error.status === 404 || error.status === 0);
      if (!isEarly || time === TIMES)
        throw new Error(`The sound could not be kept; the trial is. ${(error as Error).message}`, {
          cause: error,
        });
      await new Promise((done) => setTimeout(done, AGAIN_MS));
    }
  }
}
