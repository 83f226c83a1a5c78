/**
 * Speaks in a thread of its own. Takes `{ id, text, phones, voice, rate, sound }`, answers with the finished clip, `{ id, unsayable }` where
 * the voice gives up on this text, or `{ id, error }`.
 */
import { parentPort } from 'node:worker_threads';
import type { VoiceSound } from '@eurhythm/core/sound';
import { finishedClip, type FinishedClip } from './finishedClip.ts';
import { utter, type Utterance } from './flite.ts';

export interface SpeechRequest extends Utterance {
  readonly id: string;
  readonly sound: VoiceSound;
}

export type SpeechAnswer =
  | ({ readonly id: string } & FinishedClip)
  | { readonly id: string; readonly unsayable: string }
  | { readonly id: string; readonly error: string };

async function speak({ id, sound, ...utterance }: SpeechRequest): Promise<SpeechAnswer> {
  const spoken = await utter(utterance);
  if ('unsayable' in spoken) return { id, ...spoken };
  const clip = finishedClip(spoken.wav, spoken.phones, sound);
  return clip ? { id, ...clip } : { id, unsayable: 'no sound' };
}

let queue = Promise.resolve();
parentPort!.on('message', (request: SpeechRequest) => {
  queue = queue.then(async () => {
    const answer = await speak(request).catch((error: unknown): SpeechAnswer => ({
      id: request.id,
      error: String(error),
    }));
    parentPort!.postMessage(answer);
  });
});
