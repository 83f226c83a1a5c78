import { Worker } from 'node:worker_threads';
import type { SpeechAnswer, SpeechRequest } from './fliteWorker.ts';

interface Waiting {
  resolve(answer: { wav: Uint8Array; phones: string }): void;
  reject(error: Error): void;
}

/** Asks the synthesiser's thread for one clip after the other; the thread is started at the first call. */
export class Synthesiser {
  private worker: Worker | null = null;
  private readonly waiting = new Map<string, Waiting>();

  speak(request: SpeechRequest): Promise<{ wav: Uint8Array; phones: string }> {
    this.worker ??= this.start();
    return new Promise((resolve, reject) => {
      this.waiting.set(request.id, { resolve, reject });
      this.worker!.postMessage(request);
    });
  }

  async stop(): Promise<void> {
    await this.worker?.terminate();
    this.worker = null;
  }

  private start(): Worker {
    const worker = new Worker(new URL('./fliteWorker.js', import.meta.url));
    worker.on('message', (answer: SpeechAnswer) => {
      const waiting = this.waiting.get(answer.id);
      this.waiting.delete(answer.id);
      if ('error' in answer) waiting?.reject(new Error(answer.error));
      else waiting?.resolve(answer);
    });
    worker.on('error', (error) => this.fail(error));
    worker.on('exit', () => this.fail(new Error('the voice has stopped')));
    worker.unref();
    return worker;
  }

  private fail(error: Error): void {
    this.worker = null;
    for (const waiting of this.waiting.values()) waiting.reject(error);
    this.waiting.clear();
  }
}
