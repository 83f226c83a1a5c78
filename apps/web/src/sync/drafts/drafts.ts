import type { QueuedWriteStore } from '../queue/queuedWriteStore.ts';

/** A draft as another tab has it now; without a value it is gone. */
export interface DraftChange {
  readonly key: string;
  readonly value: unknown;
}

type Store = Pick<QueuedWriteStore, 'keepDraft' | 'dropDraft'>;

/**
 * Drafts as every page has them at hand: read once when the page opens, and kept after every change. A key is shown before
 * it is kept: writing waits until the page has been drawn, and only the newest of several changes is written.
 */
export class Drafts {
  private readonly values: Map<string, unknown>;
  private readonly store: Store;
  private readonly onNotKept: () => void;
  private readonly unwritten = new Set<string>();
  private tell: ((change: DraftChange) => void) | null = null;

  constructor(values: Iterable<readonly [string, unknown]>, store: Store, onNotKept: () => void = () => {}) {
    this.values = new Map(values);
    this.store = store;
    this.onNotKept = onNotKept;
  }

  /** Joins the drafts of the other tabs: `tell` is given each change, and `hear` takes those of the others. */
  joinTabs(tell: (change: DraftChange) => void): (change: DraftChange) => void {
    this.tell = tell;
    return ({ key, value }) => {
      if (value === undefined) this.values.delete(key);
      else this.values.set(key, value);
    };
  }

  get<T>(key: string): T | undefined {
    return this.values.get(key) as T | undefined;
  }

  keep(key: string, value: unknown): void {
    this.values.set(key, value);
    this.writeLater(key);
  }

  drop(key: string): void {
    this.values.delete(key);
    this.writeLater(key);
  }

  /** Writes at once what waits to be written, as a page does that is about to go. */
  write(): void {
    for (const key of this.unwritten) {
      const value = this.values.get(key);
      this.tell?.({ key, value });
      if (value !== undefined) this.store.keepDraft(key, value).catch(() => this.onNotKept());
      // What is not dropped here is dropped at the next change: it is the same as what the server has.
      else this.store.dropDraft(key).catch(() => {});
    }
    this.unwritten.clear();
  }

  private writeLater(key: string): void {
    if (this.unwritten.size === 0) setTimeout(() => this.write());
    this.unwritten.add(key);
  }
}
