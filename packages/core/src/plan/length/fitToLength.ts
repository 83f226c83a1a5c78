import type { Seconds } from '../../units/index.ts';

/** A stretch of a session that can be longer or shorter within limits. */
export interface Stretchable {
  readonly id: string;
  readonly seconds: Seconds;
  readonly min: Seconds;
  readonly max: Seconds;
  /** It is held so many times, and its length changes by as many seconds at once; 1 without it. */
  readonly times?: number;
}

export interface LengthChange {
  readonly id: string;
  readonly from: Seconds;
  readonly to: Seconds;
}

export interface FitProposal {
  /** What to change, in the order of the session; everything else stays. */
  readonly changes: readonly LengthChange[];
  /** Exact sum when all changes are taken. */
  readonly total: Seconds;
  /** Seconds by which the wanted length is missed, because nothing may be stretched or cut any further. */
  readonly missing: Seconds;
}

/** Lengths are changed in steps that a coach would choose. */
const STEP: Seconds = 5;

/**
 * The changes that bring a session to a length, by the least sum of squared relative changes, so that long parts give more
 * than short ones and none is torn apart. Changes go in steps of five seconds, but for one that makes the sum exact. Parts
 * whose limits are equal stay as they are; what cannot be reached is reported.
 *
 * @example
 * fitToLength([{ id: 'a', seconds: 60, min: 30, max: 120 }], 90).changes // [{ id: 'a', from: 60, to: 90 }]
 */
export function fitToLength(parts: readonly Stretchable[], wanted: Seconds): FitProposal {
  const sum = parts.reduce((total, part) => total + part.seconds, 0);
  const ideal = spread(parts, wanted - sum);
  const lengths = parts.map((part, i) => bounded(part, part.seconds + toStep(ideal[i]!, part)));
  settle(parts, lengths, wanted, STEP);
  settle(parts, lengths, wanted, 1);
  const total = lengths.reduce((all, seconds) => all + seconds, 0);
  const changes = parts.flatMap((part, i) =>
    Math.abs(lengths[i]! - part.seconds) > 1e-9 ? [{ id: part.id, from: part.seconds, to: lengths[i]! }] : [],
  );
  return { changes, total, missing: wanted - total };
}

function bounded({ min, max }: Stretchable, seconds: Seconds): Seconds {
  return Math.min(max, Math.max(min, seconds));
}

function toStep(change: Seconds, { times = 1 }: Stretchable): Seconds {
  const step = STEP * times;
  return Math.round(change / step) * step;
}

/** The change of each part: λ·seconds², cut at its limits, with the λ that spends the whole difference. */
function spread(parts: readonly Stretchable[], difference: Seconds): Seconds[] {
  const at = (lambda: number): Seconds[] =>
    parts.map((part) => bounded(part, part.seconds + lambda * part.seconds ** 2) - part.seconds);
  let [low, high] = [-1, 1];
  for (let i = 0; i < 80; i++) {
    const middle = (low + high) / 2;
    const spent = at(middle).reduce((sum, change) => sum + change, 0);
    if (spent < difference) low = middle;
    else high = middle;
  }
  return at((low + high) / 2);
}

/** Takes what rounding left over from, or gives it to, the parts that feel it least, a step at a time. */
function settle(parts: readonly Stretchable[], lengths: Seconds[], wanted: Seconds, step: Seconds): void {
  for (let guard = 0; guard < 10_000; guard++) {
    const left = wanted - lengths.reduce((sum, seconds) => sum + seconds, 0);
    if (Math.abs(left) < step - 1e-9) return;
    let best = -1;
    const byOf = (i: number): Seconds => Math.sign(left) * step * (parts[i]!.times ?? 1);
    for (const [i, part] of parts.entries()) {
      const by = byOf(i);
      if (Math.abs(by) > Math.abs(left) + 1e-9) continue;
      const next = lengths[i]! + by;
      if (next < part.min - 1e-9 || next > part.max + 1e-9) continue;
      const cost = (j: number, to: Seconds): number => ((to - parts[j]!.seconds) / parts[j]!.seconds) ** 2;
      const price = (j: number): number =>
        (cost(j, lengths[j]! + byOf(j)) - cost(j, lengths[j]!)) / Math.abs(byOf(j));
      if (best === -1 || price(i) < price(best)) best = i;
    }
    if (best === -1) return;
    lengths[best]! += byOf(best);
  }
}
