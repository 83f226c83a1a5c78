import type { Seconds } from '../../units/index.ts';

/** As many samples of what is heard and of what is played meanwhile. */
export type Pair = readonly [heard: Float32Array, own: Float32Array];

/** So long nothing that is played may come until it is taken to have ended: a busy device brings both by fits and starts. */
const MOST_WAIT: Seconds = 1;
/** What has waited all the while for so long waits for what was lost on the other way. */
const WATCHED: Seconds = 1;
/** Pieces of the two ways end at different instants. */
const SLACK: Seconds = 0.03;

/**
 * Puts two streams side by side that come in pieces of their own, of the same rate: after as many samples of each, the same time has gone
 * by, in whatever bursts they come. Where samples of one got lost, the other waits for ever; then the newest of both belong together.
 */
export class SideBySide {
  private readonly rate: number;
  private heard: Float32Array[] = [];
  private own: Float32Array[] = [];
  private isAway = true;
  /** Samples heard since something that is played came, and since it was last looked what waits. */
  private heardAlone = 0;
  private watched = 0;
  private fewest = { heard: Infinity, own: Infinity };

  /** `rate` in samples a second. */
  constructor(rate: number) {
    this.rate = rate;
  }

  /** So many samples that were heard wait for what was played. */
  get waiting(): number {
    return countOf(this.heard);
  }

  takeOwn(samples: Float32Array): Pair[] {
    // After a pause either has run on without the other.
    if (this.isAway) {
      this.own = [];
      this.watchAnew();
    }
    this.isAway = false;
    this.heardAlone = 0;
    this.own.push(samples);
    return this.pairs();
  }

  takeHeard(samples: Float32Array): Pair[] {
    this.heard.push(samples);
    this.heardAlone += samples.length;
    if (this.heardAlone > MOST_WAIT * this.rate) this.isAway = true;
    if (this.isAway) return this.alone(this.waiting);
    this.watched += samples.length;
    const pairs = this.pairs();
    return this.watched < WATCHED * this.rate ? pairs : [...pairs, ...this.afterLoss()];
  }

  private pairs(): Pair[] {
    const pairs: Pair[] = [];
    while (this.heard.length > 0 && this.own.length > 0) {
      const [heard, own] = [this.heard[0]!, this.own[0]!];
      const count = Math.min(heard.length, own.length);
      pairs.push([heard.subarray(0, count), own.subarray(0, count)]);
      takeOff(this.heard, count);
      takeOff(this.own, count);
    }
    this.fewest = {
      heard: Math.min(this.fewest.heard, this.waiting),
      own: Math.min(this.fewest.own, countOf(this.own)),
    };
    return pairs;
  }

  /** What waited all the while goes on without the other. */
  private afterLoss(): Pair[] {
    const { heard, own } = this.fewest;
    this.watchAnew();
    if (own > SLACK * this.rate) takeOff(this.own, own);
    return heard > SLACK * this.rate ? this.alone(heard) : [];
  }

  private watchAnew(): void {
    this.watched = 0;
    this.fewest = { heard: Infinity, own: Infinity };
  }

  private alone(count: number): Pair[] {
    const pieces: Pair[] = [];
    for (let left = count; left > 0;) {
      const piece = this.heard[0]!.subarray(0, left);
      pieces.push([piece, new Float32Array(piece.length)]);
      takeOff(this.heard, piece.length);
      left -= piece.length;
    }
    return pieces;
  }
}

const countOf = (pieces: readonly Float32Array[]): number =>
  pieces.reduce((sum, piece) => sum + piece.length, 0);

/** Takes so many samples off the front. */
function takeOff(pieces: Float32Array[], count: number): void {
  for (let left = count; left > 0;) {
    const first = pieces[0]!;
    if (first.length > left) pieces[0] = first.subarray(left);
    else pieces.shift();
    left -= first.length;
  }
}
