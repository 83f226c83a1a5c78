import type { Seconds } from '../../units/index.ts';
import { ECHO_BLOCK } from './EchoCanceller.ts';

/** What was expected longer ago than this, while something was expected, says little. */
const REMEMBERS: Seconds = 0.2;
/** What is expected says nothing where all that is heard is so many times as strong. */
const DROWNED = 10;
/** At 1 what is expected is heard, at 0 something else is. */
const OFF = 0.5;
const RIGHT = 0.7;
/** What was right for so long is known well. */
const PROVED: Seconds = 1;
const SUSPECT_FOR: Seconds = 1.5;

/** Whether what is expected of the own sound is what is heard, as the one lies in the other: strikes and voices on top change nothing of that. */
export class EchoFit {
  private readonly stays: number;
  private both = 0;
  private expected = 0;
  private heard = 0;
  /** For how much of what was played it has not been right, since it was. */
  private off: Seconds;
  private right: Seconds;
  private readonly block: Seconds;

  /** `rate` in hertz; of what is expected it was `proved` that it was right, or not yet. */
  constructor(rate: number, proved: boolean) {
    this.off = proved ? 0 : Infinity;
    this.right = proved ? PROVED : 0;
    this.block = ECHO_BLOCK / rate;
    this.stays = Math.exp(-ECHO_BLOCK / (REMEMBERS * rate));
  }

  /** Takes a block that was heard, and what was expected of it. */
  take(heard: ArrayLike<number>, expected: ArrayLike<number>): void {
    let [both, own, all] = [0, 0, 0];
    for (let i = 0; i < ECHO_BLOCK; i++) {
      both += heard[i]! * expected[i]!;
      own += expected[i]! * expected[i]!;
      all += heard[i]! * heard[i]!;
    }
    if (own === 0) return;
    this.both = this.stays * this.both + both;
    this.expected = this.stays * this.expected + own;
    this.heard = this.stays * this.heard + all;
    if (this.isOff) this.off += this.block;
    if (!this.isRight) return;
    this.right += this.block;
    if (this.right > PROVED) this.off = 0;
  }

  /** Something else is heard than was expected. */
  get isOff(): boolean {
    return this.tells && this.both < OFF * this.expected;
  }

  get isRight(): boolean {
    return this.tells && this.both > RIGHT * this.expected;
  }

  /** It was right, and has been off for a little while: what is expected may hold, only later or sooner. */
  get isSuspect(): boolean {
    return this.off > 0 && this.off < SUSPECT_FOR;
  }

  get offFor(): Seconds {
    return this.off;
  }

  /** What is expected may hold, only later or sooner: nobody knows yet that it does not. */
  get mayHaveSlipped(): boolean {
    return this.isOff && this.off < Infinity;
  }

  /** It is known to come when it is expected: it is that which is expected that is wrong. */
  comesInTime(): void {
    this.off = Infinity;
    this.right = 0;
  }

  private get tells(): boolean {
    return this.expected > 0 && DROWNED * this.expected > this.heard;
  }
}
