import { ServiceUnavailableException } from '@nestjs/common';
import { Worker } from 'node:worker_threads';
import type { FinishedClip } from './finishedClip.ts';
import type { SpeechAnswer, SpeechRequest } from './fliteWorker.ts';

/** What the voice said; null where it gives up on the text. */
type Spoken = FinishedClip | null;

interface Wanted {
  readonly request: SpeechRequest;
  resolve(answer: Spoken): void;
  reject(error: Error): void;
}

/**
 * Asks the synthesiser's thread for one clip after the other; the thread is started at the first call. What somebody waits
 * for goes before what is only made ahead.
 */
export class Synthesiser {
  private worker: Worker | null = null;
  private now: Wanted | null = null;
  private urgent: Wanted[] = [];
  private ahead: Wanted[] = [];

  speak(request: SpeechRequest, isUrgent: boolean): Promise<Spoken> {
    return new Promise((resolve, reject) => {
      (isUrgent ? this.urgent : this.ahead).push({ request, resolve, reject });
      this.next();
    });
  }

  /** Somebody waits for this one now. */
  hurry(id: string): void {
    const wanted = this.ahead.find(({ request }) => request.id === id);
    if (!wanted) return;
    this.ahead = this.ahead.filter((each) => each !== wanted);
    this.urgent.push(wanted);
  }

  /** What somebody still waits for is refused. */
  async stop(): Promise<void> {
    const { worker } = this;
    this.fail(new ServiceUnavailableException('The server is being stopped. Try again in a moment.'));
    await worker?.terminate();
  }

  private start(): Worker {
    const worker = new Worker(new URL('./fliteWorker.js', import.meta.url));
    worker.on('message', (answer: SpeechAnswer) => {
      const done = this.now;
      this.now = null;
      if ('error' in answer) done?.reject(new Error(answer.error));
      else done?.resolve('unsayable' in answer ? null : answer);
      this.next();
    });
    worker.on('error', (error) => this.fail(error));
    worker.on('exit', () => this.fail(new Error('the voice has stopped')));
    worker.unref();
    return worker;
  }

  private next(): void {
    if (this.now) return;
    this.now = this.urgent.shift() ?? this.ahead.shift() ?? null;
    if (!this.now) return;
    this.worker ??= this.start();
    this.worker.postMessage(this.now.request);
  }

  private fail(error: Error): void {
    this.worker = null;
    const all = [...(this.now ? [this.now] : []), ...this.urgent, ...this.ahead];
    [this.now, this.urgent, this.ahead] = [null, [], []];
    for (const wanted of all) wanted.reject(error);
  }
}
