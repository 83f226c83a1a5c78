import type { LoudOnset } from '../detect/StrikeDetector.ts';
import type { Seconds } from '../../units/index.ts';
import { ECHO_BLOCK, type EchoCanceller } from './EchoCanceller.ts';
import type { EchoFreeDetector } from './EchoFreeDetector.ts';
import type { HeardBlock, LatestBlocks } from './LatestBlocks.ts';

/** So much of what came before is heard too, for the floor of the hall. */
const BEFORE: Seconds = 3;
/** The floor of the hall and the bands are in tune after so long. */
const TUNED_AFTER: Seconds = 1;
/** A strike is known once so much more was heard. */
const BEHIND: Seconds = 0.25;

/** All strikes between two instants, in place of what was reported about that time. */
export interface Reprocessed {
  readonly from: Seconds;
  readonly until: Seconds;
  readonly onsets: readonly LoudOnset[];
}

/** From a block on, what is played is heard so many samples later. */
export interface Delayed {
  readonly block: number;
  readonly delay: number;
}

/** What is known of the way by now. */
export interface KnownWay {
  readonly canceller: EchoCanceller;
  /** The oldest first. */
  readonly delays: readonly Delayed[];
}

/** Hears again what is kept: one block for each that comes, so that it costs no more than half as much again. */
export class SecondPass {
  private readonly rate: number;
  private readonly detector: EchoFreeDetector;
  private readonly known: KnownWay;
  private readonly waiting: HeardBlock[];
  private readonly from: number;
  private readonly first: number;
  private readonly until: number;
  private block: number;
  private readonly found: LoudOnset[] = [];

  /** All from this block on, up to the newest; `detector` heard nothing yet, at so many samples a second. */
  constructor(rate: number, detector: EchoFreeDetector, blocks: LatestBlocks, from: number, known: KnownWay) {
    this.rate = rate;
    this.detector = detector;
    this.known = known;
    this.from = from;
    this.first = Math.max(blocks.oldest, from - Math.round((BEFORE * rate) / ECHO_BLOCK));
    this.waiting = blocks.since(this.first);
    this.until = blocks.count;
    this.block = this.first;
  }

  /** Hears one more block again; tells what was found once that was all. `next` is the newest that came, null once nothing comes. */
  goOn(next: HeardBlock | null): Reprocessed | null {
    if (next) this.waiting.push(next);
    const block = this.waiting[this.block - this.first];
    if (block) this.hear(block);
    const isAll = this.block >= this.until + (BEHIND * this.rate) / ECHO_BLOCK;
    return isAll || !block ? this.all() : null;
  }

  private hear({ heard, own }: HeardBlock): void {
    const { detector, known, block } = this;
    const { delay } = known.delays.findLast((each) => each.block <= block) ?? known.delays[0]!;
    if (detector.way?.delay !== delay)
      detector.take({ delay, canceller: detector.way?.canceller ?? known.canceller.learnt() }, true);
    this.found.push(...detector.push(Float64Array.from(heard), own));
    this.block += 1;
  }

  private all(): Reprocessed {
    const tuned = this.first === 0 ? 0 : this.secondsOf(this.first) + TUNED_AFTER;
    const from = Math.max(tuned, this.secondsOf(this.from));
    const until = this.secondsOf(this.until);
    const onsets = this.found
      .map((onset) => ({ ...onset, at: onset.at + this.secondsOf(this.first) }))
      .filter(({ at }) => at >= from && at < until);
    return { from, until, onsets };
  }

  private secondsOf(blocks: number): Seconds {
    return (blocks * ECHO_BLOCK) / this.rate;
  }
}
