/**
 * Listens in a thread of its own. Takes a `ListeningTask`, answers with what it heard of each call as it hears it, and with `null`
 * when it is done.
 */
import { readFileSync } from 'node:fs';
import { parentPort } from 'node:worker_threads';
import { spokenWords, type HeardAs } from '@eurhythm/core/calls';
import { inNoise, readWav, resample } from '@eurhythm/core/sound';
import { seededRandom } from '@eurhythm/core/units';
import { giveWay } from '../process/giveWay.ts';
import { TIMES_SAID, type ListeningTask } from './listeningTask.ts';
import { RECOGNISER_RATE, Recogniser } from './recogniser.ts';

/** Decibels of the voice over the noise: a hall in which people strike. */
const OVER_NOISE = 5;

giveWay();
let recogniser: Recogniser | null = null;

async function listen({ phrases, phones, calls }: ListeningTask): Promise<void> {
  recogniser ??= await Recogniser.open();
  recogniser.listenFor(phrases, phones);
  const textOf = new Map(phrases.map((phrase) => [spokenWords(phrase).join(' '), phrase]));
  for (let time = 0; time < TIMES_SAID; time++)
    for (const [i, { text, wav }] of calls.entries()) {
      const read = readWav(readFileSync(wav));
      if (!read.ok) throw new Error(read.message);
      const random = seededRandom(time * calls.length + i);
      const { samples } = inNoise(resample(read.sound, RECOGNISER_RATE), OVER_NOISE, random);
      const words = recogniser.hear(samples);
      // Two texts of the same words, such as with a comma and without, are one call to whoever hears it.
      const isRight = words === spokenWords(text).join(' ');
      const heard: HeardAs = { said: text, heard: isRight ? text : (textOf.get(words) ?? words) };
      parentPort!.postMessage(heard);
    }
  parentPort!.postMessage(null);
}

let queue = Promise.resolve();
parentPort!.on('message', (task: ListeningTask) => {
  queue = queue.then(() => listen(task));
});
