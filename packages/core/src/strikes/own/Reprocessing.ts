import type { EchoFreeDetector } from './EchoFreeDetector.ts';
import { LatestBlocks, type HeardBlock } from './LatestBlocks.ts';
import { SecondPass, type Reprocessed, type KnownWay } from './SecondPass.ts';

/** Keeps the last blocks that came, and hears again what is wished of them, one stretch after the other. */
export class Reprocessing {
  private readonly rate: number;
  private readonly latest: LatestBlocks;
  private readonly detector: () => EchoFreeDetector;
  private due: number | null = null;
  private hearing: SecondPass | null = null;

  /** `rate` in hertz; so many blocks are kept; `detector` gives one that heard nothing yet. */
  constructor(rate: number, kept: number, detector: () => EchoFreeDetector) {
    this.rate = rate;
    this.latest = new LatestBlocks(kept);
    this.detector = detector;
  }

  /** So many blocks came. */
  get count(): number {
    return this.latest.count;
  }

  /** From this block on all is to be heard again, up to that which is the newest once it begins. */
  wish(from: number): void {
    this.due = Math.min(this.due ?? from, from);
  }

  /** Takes the next block, and hears one again; tells what a stretch comes to once it is over. */
  take(next: HeardBlock, known: KnownWay | null): Reprocessed | null {
    this.begin(known);
    const again = this.goOn(next);
    this.latest.push(next);
    return again;
  }

  /** Nothing comes any more: all that is left. */
  end(known: KnownWay | null): Reprocessed[] {
    const all: Reprocessed[] = [];
    for (this.begin(known); this.hearing; this.begin(known)) {
      const again = this.goOn(null);
      if (again) all.push(again);
    }
    return all;
  }

  private begin(known: KnownWay | null): void {
    if (this.hearing || this.due === null || !known) return;
    this.hearing = new SecondPass(this.rate, this.detector(), this.latest, this.due, known);
    this.due = null;
  }

  private goOn(next: HeardBlock | null): Reprocessed | null {
    const again = this.hearing?.goOn(next) ?? null;
    if (again) this.hearing = null;
    return again;
  }
}
