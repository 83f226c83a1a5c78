/** A block that was heard, and what was played meanwhile. */
export interface HeardBlock {
  readonly heard: Float32Array;
  readonly own: Float32Array;
}

/** The newest blocks that came, counted from the first one. */
export class LatestBlocks {
  private readonly most: number;
  private blocks: HeardBlock[] = [];
  private came = 0;

  /** No more than so many are kept. */
  constructor(most: number) {
    this.most = most;
  }

  push(block: HeardBlock): void {
    this.blocks.push(block);
    this.came += 1;
    if (this.blocks.length > this.most) this.blocks.shift();
  }

  /** So many came. */
  get count(): number {
    return this.came;
  }

  /** The number of the oldest that is kept. */
  get oldest(): number {
    return this.came - this.blocks.length;
  }

  /** All that came from this one on. */
  since(block: number): HeardBlock[] {
    return this.blocks.slice(Math.max(0, block - this.oldest));
  }
}
