import { Worker } from 'node:worker_threads';
import { misheard, spokenWords, type HeardAs } from '@eurhythm/core/calls';
import type { SoundCheckView } from '@eurhythm/contract';
import { TIMES_SAID, type ListeningTask, type SpokenCall } from './listeningTask.ts';

/** What is to be listened to. */
export interface Listened {
  /** The same where all that is said sounds the same. */
  readonly key: string;
  readonly texts: readonly string[];
  /** The sound of a call; null where the voice has none. */
  spoken(text: string): Promise<SpokenCall | null>;
  /** How a word is said. */
  phones(word: string): Promise<readonly string[] | null>;
  /** What could be said instead of a call. */
  instead(text: string): readonly string[];
}

/** Beside its fellows, as bundled or as built. */
const THREAD = new URL('./listening.worker.js', import.meta.url);

/** When nobody has asked for so long, nobody waits for it any more. */
const ASKED_WITHIN_MS = 30_000;

/** Listens once to everything that a gym calls, in a loud hall, for as long as nothing of it changes. */
export class Listener {
  private key: string | null = null;
  private stopped = new AbortController();
  private expected = 0;
  private isDone = false;
  private heard: HeardAs[] = [];
  private instead = new Map<string, string>();
  private failed: unknown = null;
  private asked = 0;

  /** What was made out until now; listening begins, or begins anew where something else is said. */
  listen(listened: Listened): SoundCheckView {
    this.asked = performance.now();
    if (listened.key !== this.key) {
      this.stop();
      const stopped = (this.stopped = new AbortController());
      this.key = listened.key;
      this.expected = TIMES_SAID * listened.texts.length;
      [this.heard, this.instead, this.failed, this.isDone] = [[], new Map(), null, false];
      void this.work(listened, stopped.signal).catch((error: unknown) => {
        // What was stopped has nothing more to say; what failed says so to whoever asks, and is begun anew by who asks then.
        if (!stopped.signal.aborted) this.failed = error;
      });
    }
    if (this.failed !== null) {
      this.key = null;
      throw this.failed;
    }
    return {
      calls: this.expected / TIMES_SAID,
      listened: this.heard.length,
      of: this.expected,
      isDone: this.isDone,
      misheard: misheard(this.heard).map((pair) => ({
        ...pair,
        instead: this.instead.get(pair.said) ?? null,
      })),
    };
  }

  stop(): void {
    this.stopped.abort();
    this.key = null;
  }

  private async work(listened: Listened, signal: AbortSignal): Promise<void> {
    const thread = new Worker(THREAD);
    signal.addEventListener('abort', () => void thread.terminate());
    try {
      const calls = await spokenCalls(listened, listened.texts);
      const phrases = calls.map(({ text }) => text);
      const phones = await phonesOf(listened, phrases);
      // A thread that was ended while the voice still spoke never answers.
      signal.throwIfAborted();
      this.expected = TIMES_SAID * calls.length;
      await hearIn(thread, { phrases, phones, calls }, (heard) => {
        if (!signal.aborted) this.heard.push(heard);
        if (performance.now() - this.asked > ASKED_WITHIN_MS) this.stop();
      });
      const wrong = misheard(this.heard).map(({ said }) => said);
      const others = new Map(wrong.map((said) => [said, listened.instead(said)]));
      const tried = await spokenCalls(listened, [...new Set([...others.values()].flat())]);
      const all = [...phrases, ...tried.map(({ text }) => text)];
      const again: HeardAs[] = [];
      const more = { phrases: all, phones: await phonesOf(listened, all), calls: tried };
      signal.throwIfAborted();
      await hearIn(thread, more, (heard) => again.push(heard));
      const unclear = new Set(misheard(again).map(({ said }) => said));
      const clear = new Set(again.flatMap(({ said }) => (unclear.has(said) ? [] : [said])));
      for (const [said, words] of others) {
        const better = words.find((word) => clear.has(word));
        if (better !== undefined && !signal.aborted) this.instead.set(said, better);
      }
      if (!signal.aborted) this.isDone = true;
    } finally {
      await thread.terminate();
    }
  }
}

async function spokenCalls({ spoken }: Listened, texts: readonly string[]): Promise<SpokenCall[]> {
  const calls = await Promise.all(texts.map((text) => spoken(text)));
  return calls.filter((call) => call !== null);
}

async function phonesOf({ phones }: Listened, phrases: readonly string[]): Promise<ListeningTask['phones']> {
  const words = [...new Set(phrases.flatMap(spokenWords))];
  const found = await Promise.all(words.map(async (word) => [word, await phones(word)] as const));
  return new Map(found.flatMap(([word, said]) => (said ? [[word, said] as const] : [])));
}

function hearIn(thread: Worker, task: ListeningTask, onHeard: (heard: HeardAs) => void): Promise<void> {
  return new Promise((done, fail) => {
    const stop = (): void => {
      thread.off('message', take).off('error', fail).off('exit', end);
    };
    const take = (heard: HeardAs | null): void => {
      if (heard) return onHeard(heard);
      stop();
      done();
    };
    const end = (): void => fail(new Error('The listener has stopped.'));
    thread.on('message', take).on('error', fail).on('exit', end);
    thread.postMessage(task);
  });
}
