import { setTimeout } from 'node:timers/promises';
import { Injectable, ServiceUnavailableException, type OnModuleDestroy } from '@nestjs/common';
import { Piscina } from 'piscina';
import type { HeavyTasks } from './heavy.worker.ts';

/** Threads beside the one that answers. */
const THREADS = 2;
/** So many wait; who comes after them is told that the server is busy. */
const MOST_WAITING = 32;
/** Nothing may take longer, or more memory; the thread is ended and a new one begun. */
const LONGEST_MS = 60_000;
const MOST_MEGABYTES = 1024;

/** After so long it is looked again whether there is a place in the queue. */
const WAIT_MS = 100;

class Busy extends ServiceUnavailableException {
  constructor() {
    super('The server is busy with other work. Try again in a moment.');
  }
}
const STOPPING = 'The server is being stopped. Try again in a moment.';
const TOO_LONG = 'This takes too long to work out. Make it smaller, or try again.';

type Name = keyof HeavyTasks;
type Done<N extends Name> = Awaited<ReturnType<HeavyTasks[N]>>;

/** What takes long is done in threads of its own, so that no request holds up another one. */
@Injectable()
export class HeavyWork implements OnModuleDestroy {
  private pool: Piscina | null = null;
  private isStopping = false;

  /** @throws 503 with a sentence when too much waits already, when it takes too long or too much, or when the server is being stopped. */
  async run<N extends Name>(name: N, ...args: Parameters<HeavyTasks[N]>): Promise<Done<N>> {
    const { signal, done } = atMost(LONGEST_MS);
    try {
      return (await this.threads().run({ name, args }, { signal })) as Done<N>;
    } catch (error) {
      throw foreseen(error, signal.aborted) ?? error;
    } finally {
      done();
    }
  }

  /** As `run`, for the rest of an answer that has begun: it waits as long as there is no place in the queue. */
  async goOn<N extends Name>(name: N, ...args: Parameters<HeavyTasks[N]>): Promise<Done<N>> {
    for (;;) {
      try {
        return await this.run(name, ...args);
      } catch (error) {
        if (!(error instanceof Busy)) throw error;
        await setTimeout(WAIT_MS);
      }
    }
  }

  /** What is being worked out is dropped, and nothing is begun any more: a server that stops waits for nobody. */
  async onModuleDestroy(): Promise<void> {
    this.isStopping = true;
    await this.pool?.destroy();
  }

  private threads(): Piscina {
    if (this.isStopping) throw new ServiceUnavailableException(STOPPING);
    this.pool ??= new Piscina({
      filename: new URL('./heavy.worker.js', import.meta.url).href,
      minThreads: 0,
      maxThreads: THREADS,
      maxQueue: MOST_WAITING,
      idleTimeout: 30_000,
      resourceLimits: { maxOldGenerationSizeMb: MOST_MEGABYTES },
    });
    return this.pool;
  }
}

function atMost(ms: number): { signal: AbortSignal; done(): void } {
  const stop = new AbortController();
  const timer = globalThis.setTimeout(() => stop.abort(), ms);
  return { signal: stop.signal, done: () => clearTimeout(timer) };
}

/** The sentence for what a pool may say; null for an error of the work itself. */
function foreseen(error: unknown, isLate: boolean): ServiceUnavailableException | null {
  const { code = '', message = '' } = error as { code?: string; message?: string };
  if (isLate || code === 'ERR_WORKER_OUT_OF_MEMORY') return new ServiceUnavailableException(TOO_LONG);
  if (/queue is at limit/i.test(message)) return new Busy();
  return /not ready|terminat/i.test(message) ? new ServiceUnavailableException(STOPPING) : null;
}
