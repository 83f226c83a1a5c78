import { PieceFilter, lowPass } from '../../sound/index.ts';

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
  private readonly filters: readonly PieceFilter[];
  private skipped = 0;

  /** `sampleRate` in hertz, 8,000 to 192,000. */
  constructor(sampleRate: number) {
    this.every = Math.max(1, Math.floor(sampleRate / WORK_RATE));
    this.rate = sampleRate / this.every;
    this.filters =
      this.every === 1
        ? []
        : BUTTERWORTH_4.map((q) => new PieceFilter(lowPass(PASSBAND * this.rate, sampleRate, q)));
  }

  /** Thins the first `count` samples of a piece in place; gives how many are left. */
  run(piece: Float64Array, count: number): number {
    if (this.every === 1) return count;
    for (const filter of this.filters) filter.run(piece, piece, count);
    let left = 0;
    for (let i = 0; i < count; i++) {
      this.skipped += 1;
      if (this.skipped < this.every) continue;
      this.skipped = 0;
      piece[left++] = piece[i]!;
    }
    return left;
  }
}
