/** As many samples of what is heard and of what is played meanwhile. */
export type Pair = readonly [heard: Float32Array, own: Float32Array];

/**
 * Puts two streams side by side that come in pieces of their own, of the same rate: what comes at the same time belongs together. What
 * is heard waits a little for what is played, and is not kept waiting by a device that plays nothing any more.
 */
export class SideBySide {
  private heard: Float32Array[] = [];
  private own: Float32Array[] = [];
  private isAway = true;
  private readonly mostWait: number;

  /** `mostWait` in samples. */
  constructor(mostWait: number) {
    this.mostWait = mostWait;
  }

  /** So many samples that were heard wait for what was played. */
  get waiting(): number {
    return countOf(this.heard);
  }

  takeOwn(samples: Float32Array): Pair[] {
    // After a pause either has run on without the other: the newest belong together.
    if (this.isAway || countOf(this.own) > this.mostWait) this.own = [];
    this.isAway = false;
    this.own.push(samples);
    return this.pairs();
  }

  takeHeard(samples: Float32Array): Pair[] {
    this.heard.push(samples);
    const pairs = this.isAway ? [] : this.pairs();
    if (!this.isAway && this.waiting <= this.mostWait) return pairs;
    this.isAway = true;
    const alone = this.heard.map((piece): Pair => [piece, new Float32Array(piece.length)]);
    this.heard = [];
    return [...pairs, ...alone];
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
    return pairs;
  }
}

const countOf = (pieces: readonly Float32Array[]): number =>
  pieces.reduce((sum, piece) => sum + piece.length, 0);

function takeOff(pieces: Float32Array[], count: number): void {
  if (pieces[0]!.length === count) pieces.shift();
  else pieces[0] = pieces[0]!.subarray(count);
}
