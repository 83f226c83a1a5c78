import type { HomeBurst } from '@eurhythm/core/home';
import type { RunEvent } from '@eurhythm/core/run';

/** What was done so far, as this browser keeps it until the session is done anew. */
export interface KeptAtHome {
  readonly events: readonly RunEvent[];
  readonly bursts: readonly HomeBurst[];
  readonly effort: number | null;
}

export const NOTHING_DONE: KeptAtHome = { events: [], bursts: [], effort: null };

/** What was begun longer ago is another day's. */
const SAME_DAY_MS = 6 * 3_600_000;

/** What a browser that keeps something keeps; a page from a file may not be allowed to. */
export class HomeKeeper {
  kept: KeptAtHome;
  private readonly key: string;
  private readonly store: Pick<Storage, 'getItem' | 'setItem'> | null;

  constructor(key: string, store: Pick<Storage, 'getItem' | 'setItem'> | null, now: number) {
    this.key = key;
    this.store = store;
    this.kept = this.read(now);
  }

  keep(changes: Partial<KeptAtHome>): void {
    this.kept = { ...this.kept, ...changes };
    try {
      this.store?.setItem(this.key, JSON.stringify(this.kept));
    } catch {
      // Nothing is kept: a page that is closed begins anew.
    }
  }

  private read(now: number): KeptAtHome {
    try {
      const read = { ...NOTHING_DONE, ...(JSON.parse(this.store?.getItem(this.key) ?? '{}') as KeptAtHome) };
      const last = read.events.at(-1)?.at ?? 0;
      return now - last < SAME_DAY_MS ? read : NOTHING_DONE;
    } catch {
      return NOTHING_DONE;
    }
  }
}
