import { StrikeDetector, type DetectorSetting, type Onset } from '../detect/StrikeDetector.ts';
import { Thinner } from '../detect/Thinner.ts';
import type { Seconds } from '../../units/index.ts';
import { ECHO_BLOCK, EchoCanceller } from './EchoCanceller.ts';
import { echoDelay } from './echoDelay.ts';

/** The way from loudspeaker to microphone is learnt over so long: what the hall gives back later is smooth, and no strike. */
const WAY: Seconds = 0.192;
/** It begins so long before the loudest: a wall of the device's own comes first. */
const AHEAD_OF_IT: Seconds = 0.004;
/** Sound is on its way through a device no longer than this. */
const MOST_DELAY: Seconds = 0.6;
/** The delay is looked for in so much sound, once in so much that was played: often while it is not known, seldom afterwards. */
const LOOKED_AT: Seconds = 2;
const LOOKED_FOR_EVERY: { readonly unknown: Seconds; readonly known: Seconds } = { unknown: 0.25, known: 4 };
/** Two findings so near each other are the same one. */
const SAME: Seconds = 0.002;

/**
 * Hears strikes while its own device plays: what is heard and what is played come side by side, as many samples of each. It finds out how
 * much later the one is in the other, learns the way, takes the echo out, and doubts what the rest of it may explain. Pieces of any
 * length give the same.
 */
export class OwnSoundDetector {
  private readonly detector: StrikeDetector;
  private readonly rate: number;
  private readonly thinners: readonly [Thinner, Thinner];
  private canceller: EchoCanceller;
  /** The newest samples of either, at `rate`, up to the end of the last block. */
  private readonly own: Past;
  private readonly heard: Past;
  private readonly blocks = [new Float64Array(ECHO_BLOCK), new Float64Array(ECHO_BLOCK)] as const;
  private filled = 0;
  private readonly echo = new Float64Array(ECHO_BLOCK);
  private readonly late = new Float64Array(ECHO_BLOCK);
  private readonly rest = new Float64Array(ECHO_BLOCK);
  /** In samples; null while it is not known. */
  private delay: number | null = null;
  private lastFound: number | null = null;
  private playedSince = 0;

  /** `sampleRate` in hertz, 8,000 to 192,000, the same for both. */
  constructor(sampleRate: number, setting: DetectorSetting = {}) {
    this.thinners = [new Thinner(sampleRate), new Thinner(sampleRate)];
    this.rate = this.thinners[0].rate;
    this.detector = new StrikeDetector(this.rate, setting);
    this.canceller = this.newCanceller();
    this.own = new Past((LOOKED_AT + MOST_DELAY) * this.rate);
    this.heard = new Past(LOOKED_AT * this.rate);
  }

  /** How much later what is played is heard, once that is known. */
  get echoAfter(): Seconds | null {
    return this.delay === null ? null : this.delay / this.rate;
  }

  push(heard: ArrayLike<number>, own: ArrayLike<number>): Onset[] {
    const [a, b] = [Float64Array.from(heard), Float64Array.from(own)];
    const count = this.thinners[0].run(a, heard.length);
    this.thinners[1].run(b, own.length);
    const found: Onset[] = [];
    for (let i = 0; i < count; i++) {
      this.blocks[0][this.filled] = a[i]!;
      this.blocks[1][this.filled] = b[i]!;
      this.filled += 1;
      if (this.filled < ECHO_BLOCK) continue;
      this.filled = 0;
      found.push(...this.block(...this.blocks));
    }
    return found;
  }

  /** What is known when nothing comes any more. */
  end(): Onset[] {
    const left = this.blocks[0].subarray(0, this.filled);
    return [...this.detector.push(left, new Float64Array(left.length)), ...this.detector.end()];
  }

  private newCanceller(): EchoCanceller {
    return new EchoCanceller(Math.ceil((WAY * this.rate) / ECHO_BLOCK));
  }

  private block(heard: Float64Array, own: Float64Array): Onset[] {
    this.own.push(own);
    this.heard.push(heard);
    if (own.some((sample) => sample !== 0)) this.lookForDelay();
    if (this.delay === null) return this.detector.push(heard, this.echo);
    this.own.copy(this.late, Math.max(0, this.delay - Math.round(AHEAD_OF_IT * this.rate)));
    this.canceller.take(this.late, heard, this.echo);
    for (let i = 0; i < ECHO_BLOCK; i++) this.rest[i] = heard[i]! - this.echo[i]!;
    return this.detector.push(this.rest, this.echo);
  }

  /** Twice the same is believed. A device that was put elsewhere begins anew. */
  private lookForDelay(): void {
    this.playedSince += ECHO_BLOCK;
    const every = this.delay === null ? LOOKED_FOR_EVERY.unknown : LOOKED_FOR_EVERY.known;
    if (this.playedSince < every * this.rate) return;
    this.playedSince = 0;
    const heard = this.heard.last(LOOKED_AT * this.rate);
    const found = echoDelay(this.own.last(heard.length), heard, Math.round(MOST_DELAY * this.rate));
    if (found === null) return;
    const isSame = (other: number | null): boolean =>
      other !== null && Math.abs(found - other) <= SAME * this.rate;
    if (isSame(this.lastFound) && !isSame(this.delay)) {
      this.delay = found;
      this.canceller = this.newCanceller();
      this.learnFromPast(found);
    }
    this.lastFound = found;
  }

  /** The way is learnt from what was played and heard before its delay was known, all at once. */
  private learnFromPast(delay: number): void {
    const blocks = Math.floor((LOOKED_AT * this.rate) / ECHO_BLOCK);
    const after = Math.max(0, delay - Math.round(AHEAD_OF_IT * this.rate));
    const heard = new Float64Array(ECHO_BLOCK);
    // The newest block is taken as it comes.
    for (let block = blocks - 1; block > 0; block--) {
      this.heard.copy(heard, block * ECHO_BLOCK);
      this.own.copy(this.late, block * ECHO_BLOCK + after);
      this.canceller.take(this.late, heard, this.echo);
    }
  }
}

/** The newest samples of a stream that comes in blocks. */
class Past {
  private readonly samples: Float64Array;
  private count = 0;

  constructor(atLeast: number) {
    this.samples = new Float64Array(ECHO_BLOCK * Math.ceil(atLeast / ECHO_BLOCK + 1));
  }

  push(block: Float64Array): void {
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
