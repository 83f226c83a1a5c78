import type { LetterStore } from './letterStore.ts';

/** A draft as another tab has it now; without a value it is gone. */
export interface DraftChange {
  readonly key: string;
  readonly value: unknown;
}

/** Drafts as every page has them at hand: read once when the page opens, kept at every change. */
export class Drafts {
  private readonly values: Map<string, unknown>;
  private readonly store: Pick<LetterStore, 'keepDraft' | 'dropDraft'>;
  private readonly onNotKept: () => void;
  private tell: ((change: DraftChange) => void) | null = null;

  constructor(
    values: Iterable<readonly [string, unknown]>,
    store: Pick<LetterStore, 'keepDraft' | 'dropDraft'>,
    onNotKept: () => void = () => {},
  ) {
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
    this.tell?.({ key, value });
    this.store.keepDraft(key, value).catch(() => this.onNotKept());
  }

  drop(key: string): void {
    this.values.delete(key);
    this.tell?.({ key, value: undefined });
    // What is not dropped here is dropped at the next change: it is the same as what the server has.
    this.store.dropDraft(key).catch(() => {});
  }
}
