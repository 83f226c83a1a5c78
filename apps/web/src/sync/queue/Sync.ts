import { Refused } from '../../server/api.ts';
import type { QueuedWrite, Outcome, RejectedWrite, Writing } from './queuedWrite.ts';
import type { QueuedWriteStore } from './queuedWriteStore.ts';
import { Sender, type Post, type SentFrom } from './sender.ts';

/** What a page is reported about its writes. */
export interface SyncState {
  readonly waiting: readonly QueuedWrite[];
  readonly rejected: readonly RejectedWrite[];
  /** Writes that this device has no room to keep: they are sent, but a closed page loses them. */
  readonly notKept: number;
}

/** What tabs tell each other: that something was written, or what became of a write. */
type TabMessage =
  | { readonly kind: 'written'; readonly replaced: readonly string[]; readonly by: string }
  | { readonly kind: 'try' }
  | { readonly kind: 'outcome'; readonly outcome: Outcome };

/** What joins the tabs of a browser. */
export interface Tabs {
  post(message: TabMessage): void;
  onMessage(listen: (message: TabMessage) => void): void;
  /** Runs `work` in one tab at a time, in the next one when that one is closed. */
  whenAlone(work: () => Promise<void>): void;
}

interface Wait {
  resolve(answer: unknown): void;
  reject(error: unknown): void;
}

/** A write was refused, as the page that waits for it is reported. */
export class WriteRefused extends Refused {
  readonly rejected: RejectedWrite;

  constructor(rejected: RejectedWrite) {
    super(rejected.status, rejected.refusal);
    this.rejected = rejected;
  }
}

const EMPTY: SyncState = { waiting: [], rejected: [], notKept: 0 };

/** The one way to write: kept in the browser first, sent by one tab for all, reported to every page. */
export class Sync {
  private state: SyncState = EMPTY;
  private readonly listeners = new Set<() => void>();
  private readonly outcomeListeners = new Set<(outcome: Outcome) => void>();
  private readonly waits = new Map<string, readonly Wait[]>();
  private notKept: QueuedWrite[] = [];
  private unsavedRejections: RejectedWrite[] = [];
  private readonly memorySender: Sender;
  private sender: Sender | null = null;
  private readonly store: QueuedWriteStore;
  private readonly post: Post;
  private readonly tabs: Tabs;
  private readonly origin: string;
  private readonly newId: () => string;

  constructor(store: QueuedWriteStore, post: Post, tabs: Tabs, newId: () => string) {
    this.store = store;
    this.post = post;
    this.tabs = tabs;
    this.newId = newId;
    this.origin = newId();
    this.memorySender = new Sender(this.memory(), post, (outcome) => this.hear({ kind: 'outcome', outcome }));
    tabs.onMessage((message) => this.hear(message));
    tabs.whenAlone(() => this.sendForAll());
    void this.look();
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };
  readonly snapshot = (): SyncState => this.state;

  /** Tells what became of each write for which no page here waits: of another tab, or of a page that is closed. */
  onOutcome(listener: (outcome: Outcome) => void): () => void {
    this.outcomeListeners.add(listener);
    return () => this.outcomeListeners.delete(listener);
  }

  /** Keeps a write and has it sent; resolves once it is kept, so that from here on nothing can lose it. */
  async put(writing: Writing): Promise<void> {
    await this.keep(this.letterOf(writing));
  }

  /** Keeps a write, has it sent, and gives the server's answer. @throws WriteRefused when it is refused. */
  async write<T>(writing: Writing): Promise<T> {
    const write = this.letterOf(writing);
    // Noted before it is kept: another tab may send it before this one hears that it is kept.
    const answer = new Promise<unknown>((resolve, reject) => this.waits.set(write.id, [{ resolve, reject }]));
    await this.keep(write);
    return answer as Promise<T>;
  }

  private letterOf(writing: Writing): QueuedWrite {
    return { ...writing, id: this.newId(), origin: this.origin, isSent: false };
  }

  private async keep(write: QueuedWrite): Promise<void> {
    let replaced: readonly string[];
    // What goes on from a version has to know first which one that is.
    const isFirst = write.basedOn === undefined && this.state.waiting.length === 0;
    const isOnItsWay = isFirst && (this.sender?.begin(write) ?? false);
    try {
      replaced = await this.store.add(isOnItsWay ? { ...write, isSent: true } : write);
    } catch {
      // No room, or no database: it is sent from memory, and the shell says that this page has to stay open.
      replaced = this.notKept.filter(({ address }) => address === write.address).map(({ id }) => id);
      this.notKept = [...this.notKept.filter(({ address }) => address !== write.address), write];
      void this.memorySender.flush();
    }
    this.follow(replaced, write.id);
    this.tabs.post({ kind: 'written', replaced, by: write.id });
    void this.sender?.flush();
    // A device that keeps nothing has no disk either.
    void this.store.reachDisk().catch(() => {});
    await this.look();
  }

  /** Who waited for a write that gave way to a newer one waits for that one now, and hears of it first: what was newest is heard last. */
  private follow(replaced: readonly string[], by: string): void {
    const followers = replaced.flatMap((id) => this.waits.get(id) ?? []);
    for (const id of replaced) this.waits.delete(id);
    if (followers.length > 0) this.waits.set(by, [...followers, ...(this.waits.get(by) ?? [])]);
  }

  /** The page has shown what was wrong where it was typed, or the coach has put it away. */
  async unreject(id: string): Promise<void> {
    this.unsavedRejections = this.unsavedRejections.filter(({ write }) => write.id !== id);
    await this.store.unreject(id).catch(() => {}); // a device that keeps nothing has no rejectedWrites either
    await this.look();
  }

  /** Tries now, for whoever is the sender: the network is back. */
  tryNow(): void {
    this.tabs.post({ kind: 'try' });
    void this.sender?.flush();
    void this.memorySender.flush();
  }

  private async sendForAll(): Promise<void> {
    const sender = new Sender(this.store, this.post, (outcome) => {
      this.tabs.post({ kind: 'outcome', outcome });
      this.hear({ kind: 'outcome', outcome });
    });
    this.sender = sender;
    await sender.flush();
    // The tab stays the sender for as long as it is open.
    await new Promise<void>(() => {});
  }

  /** What this device has no room for, as a sender takes it. */
  private memory(): SentFrom {
    return {
      next: async () => this.notKept[0],
      settle: async (write, outcome) => {
        this.notKept = this.notKept.filter((other) => other !== write);
        if (outcome.kind === 'refused') this.unsavedRejections.push(outcome.rejected);
      },
    };
  }

  private hear(message: TabMessage): void {
    if (message.kind === 'outcome') this.tell(message.outcome);
    else void this.sender?.flush();
    if (message.kind === 'written') this.follow(message.replaced, message.by);
    void this.look();
  }

  private tell(outcome: Outcome): void {
    const waits = this.waits.get(outcome.id) ?? [];
    this.waits.delete(outcome.id);
    if (waits.length === 0) for (const listener of this.outcomeListeners) listener(outcome);
    for (const { resolve, reject } of waits)
      if (outcome.kind === 'taken') resolve(outcome.answer);
      else reject(new WriteRefused(outcome.rejected));
  }

  private async look(): Promise<void> {
    const [waiting, rejected] = await Promise.all([
      this.store.waiting().catch(() => []),
      this.store.rejected().catch(() => []),
    ]);
    this.state = {
      waiting: [...waiting, ...this.notKept],
      rejected: [...rejected, ...this.unsavedRejections],
      notKept: this.notKept.length,
    };
    for (const listener of this.listeners) listener();
  }
}
