import { Refused } from '../../server/api.ts';
import type { QueuedWrite, Outcome } from './queuedWrite.ts';
import type { QueuedWriteStore } from './queuedWriteStore.ts';

/** Sends a request and gives its answer. @throws Refused, with status 0 while the server does not answer. */
export type Post = (method: QueuedWrite['method'], path: string, body: unknown) => Promise<unknown>;

/** As much of a store as a sender needs. */
export type SentFrom = Pick<QueuedWriteStore, 'next' | 'settle'>;

/** Waits between tries while the server is away, in milliseconds; the last one stays. */
const BACK_OFF = [1000, 2000, 4000, 8000, 15_000, 30_000] as const;

/** The answers after which the same request may go through later. */
function isAway(error: unknown): boolean {
  if (!(error instanceof Refused)) return true;
  // 401: the passphrase has to be said on this device again; until then it waits.
  return error.status === 0 || error.status >= 500 || error.status === 429 || error.status === 401;
}

/**
 * Sends writes one after the other, oldest first. Only one sender runs in a browser: whoever holds the lock. A write that
 * was sent before a crash is sent again; every write of the server is safe to repeat.
 */
export class Sender {
  private tries = 0;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private running: Promise<void> | null = null;
  private isAskedAgain = false;
  private isStopped = false;
  /** A write whose request has begun while the browser's database still takes it. */
  private early: { readonly id: string; readonly outcome: Promise<Outcome | null> } | null = null;
  private readonly store: SentFrom;
  private readonly post: Post;
  private readonly onOutcome: (outcome: Outcome) => void;

  constructor(store: SentFrom, post: Post, onOutcome: (outcome: Outcome) => void) {
    this.store = store;
    this.post = post;
    this.onOutcome = onOutcome;
  }

  /**
   * Begins to send a write that is only being kept, where nothing goes before it; gives whether it did. The next flush takes the
   * answer for its own.
   */
  begin(write: QueuedWrite): boolean {
    if (this.isStopped || this.running || this.early || this.tries > 0) return false;
    this.early = { id: write.id, outcome: this.send(write) };
    return true;
  }

  /** Sends what waits, now; resolves when nothing waits any more, or the server is away. */
  async flush(): Promise<void> {
    if (this.isStopped) return;
    this.isAskedAgain = true;
    this.running ??= this.run().finally(() => {
      this.running = null;
      // One that could not be kept never comes; whatever is sent twice is taken once.
      this.early = null;
    });
    await this.running;
  }

  stop(): void {
    this.isStopped = true;
    clearTimeout(this.timer);
  }

  private async run(): Promise<void> {
    clearTimeout(this.timer);
    while (this.isAskedAgain && !this.isStopped) {
      this.isAskedAgain = false;
      for (let write = await this.store.next(); write; write = await this.store.next()) {
        const outcome = await (this.early?.id === write.id ? this.early.outcome : this.send(write));
        if (!outcome) return this.tryLater();
        this.tries = 0;
        await this.store.settle(write, outcome);
        this.onOutcome(outcome);
        if (this.isStopped) return;
      }
    }
  }

  /** Null while the server is away. */
  private async send(write: QueuedWrite): Promise<Outcome | null> {
    const { id, method, address, body, basedOn } = write;
    const path = basedOn === undefined ? address : `${address}?basedOn=${basedOn}`;
    try {
      return { kind: 'taken', id, address, answer: await this.post(method, path, body) };
    } catch (error) {
      if (isAway(error)) return null;
      const { message, errors, now, status } = error as Refused;
      return { kind: 'refused', id, address, rejected: { write, refusal: { message, errors, now }, status } };
    }
  }

  private tryLater(): void {
    const wait = BACK_OFF[Math.min(this.tries, BACK_OFF.length - 1)]!;
    this.tries += 1;
    this.timer = setTimeout(() => void this.flush(), wait);
  }
}
