import { ECHO_BLOCK } from './EchoCanceller.ts';

/** The newest samples of a stream that comes in blocks of `ECHO_BLOCK`. */
export class Past {
  private readonly samples: Float64Array;
  private count = 0;

  constructor(atLeast: number) {
    this.samples = new Float64Array(ECHO_BLOCK * Math.ceil(atLeast / ECHO_BLOCK + 1));
  }

  push(block: ArrayLike<number>): void {
    this.samples.set(block, this.count % this.samples.length);
    this.count += block.length;
  }

  /** The newest block as it was so many samples earlier; nothing was before the beginning. */
  copy(to: Float64Array, earlier: number): void {
    const { length } = this.samples;
    const from = this.count - ECHO_BLOCK - earlier;
    for (let i = 0; i < ECHO_BLOCK; i++)
      to[i] = from + i < 0 ? 0 : this.samples[(from + i + length) % length]!;
  }

  /** The last so many samples, the oldest first. */
  last(count: number): Float64Array {
    const whole = Math.round(count);
    const { length } = this.samples;
    return Float64Array.from({ length: whole }, (_, i) => {
      const at = this.count - whole + i;
      return at < 0 ? 0 : this.samples[(at + length) % length]!;
    });
  }
}
