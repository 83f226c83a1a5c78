import { lowPass, type Biquad } from '../../sound/index.ts';

/** What is heard is looked at no finer than this, in hertz; impacts have what tells them apart below half of it. */
const WORK_RATE = 16_000;
/** What lies above this share of the lower rate is taken away before it is taken. */
const PASSBAND = 0.42;
/** Qualities of the two halves of a Butterworth filter of the fourth order. */
const BUTTERWORTH_4 = [0.541, 1.307] as const;

/** Takes samples of any rate and keeps every so many of them, so that 16,000 to 32,000 a second are left; fewer stay as they are. */
export class Thinner {
  /** What is left, in hertz. */
  readonly rate: number;
  private readonly every: number;
  private readonly halves: readonly [Biquad, Biquad];
  /** The last two samples, and the last two of what each half let through. */
  private readonly last = new Float64Array(6);
  private skipped = 0;

  /** `sampleRate` in hertz, 8,000 to 192,000. */
  constructor(sampleRate: number) {
    this.every = Math.max(1, Math.floor(sampleRate / WORK_RATE));
    this.rate = sampleRate / this.every;
    const half = (q: number): Biquad => lowPass(PASSBAND * this.rate, sampleRate, q);
    this.halves = [half(BUTTERWORTH_4[0]), half(BUTTERWORTH_4[1])];
  }

  /** Thins the first `count` samples of a piece in place; gives how many are left. */
  run(piece: Float64Array, count: number): number {
    const { every, last, halves } = this;
    if (every === 1) return count;
    const [b0, b1, b2] = halves[0].b;
    const [a1, a2] = halves[0].a;
    const [d0, d1, d2] = halves[1].b;
    const [c1, c2] = halves[1].a;
    let [x1, x2, y1, y2, z1, z2] = [last[0]!, last[1]!, last[2]!, last[3]!, last[4]!, last[5]!];
    let [left, skipped] = [0, this.skipped];
    for (let i = 0; i < count; i++) {
      const x = piece[i]!;
      // What is known longest comes first: the next sample waits for nothing but the last term.
      const y = b0 * x + b1 * x1 + b2 * x2 - a2 * y2 - a1 * y1;
      const z = d0 * y + d1 * y1 + d2 * y2 - c2 * z2 - c1 * z1;
      x2 = x1;
      x1 = x;
      y2 = y1;
      y1 = y;
      z2 = z1;
      z1 = z;
      skipped += 1;
      if (skipped < every) continue;
      skipped = 0;
      piece[left++] = z;
    }
    last.set([x1, x2, y1, y2, z1, z2]);
    this.skipped = skipped;
    return left;
  }
}
