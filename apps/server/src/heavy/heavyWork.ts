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

const BUSY = 'The server is busy with other work. Try again in a moment.';
const TOO_LONG = 'This takes too long to work out. Make it smaller, or try again.';

type Name = keyof HeavyTasks;

/** What takes long is done in threads of its own, so that no request holds up another one. */
@Injectable()
export class HeavyWork implements OnModuleDestroy {
  private pool: Piscina | null = null;

  /** @throws 503 with a sentence when too much waits already, or when it takes too long or too much. */
  async run<N extends Name>(
    name: N,
    ...args: Parameters<HeavyTasks[N]>
  ): Promise<Awaited<ReturnType<HeavyTasks[N]>>> {
    const { signal, done } = atMost(LONGEST_MS);
    try {
      return (await this.threads().run(args, { name, signal })) as Awaited<ReturnType<HeavyTasks[N]>>;
    } catch (error) {
      throw foreseen(error, signal.aborted) ?? error;
    } finally {
      done();
    }
  }

  async onModuleDestroy(): Promise<void> {
    await this.pool?.destroy();
    this.pool = null;
  }

  private threads(): Piscina {
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
  const timer = setTimeout(() => stop.abort(), ms);
  return { signal: stop.signal, done: () => clearTimeout(timer) };
}

/** The sentence for what a pool may say; null for an error of the work itself. */
function foreseen(error: unknown, isLate: boolean): ServiceUnavailableException | null {
  const { code = '', message = '' } = error as { code?: string; message?: string };
  if (isLate || code === 'ERR_WORKER_OUT_OF_MEMORY') return new ServiceUnavailableException(TOO_LONG);
  return /queue is at limit|not ready|terminat/i.test(message) ? new ServiceUnavailableException(BUSY) : null;
}
