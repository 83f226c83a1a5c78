import { interquartileRange, median } from 'simple-statistics';
import type { Seconds } from '../../units/index.ts';

/** A strike that is due in a line. */
export interface DueStrike {
  readonly at: Seconds;
}

/** A strike that was heard, felt or tapped. */
export interface HeardStrike {
  readonly at: Seconds;
}

export interface Hit {
  /** Indices into what is due and what was heard. */
  readonly due: number;
  readonly onset: number;
  /** How late it was, without the latency of the device; early is below 0. */
  readonly error: Seconds;
}

export interface StrikeMatch {
  /** From the strike to the device's telling it. */
  readonly latency: Seconds;
  /** In the order of what is due. */
  readonly hits: readonly Hit[];
  readonly misses: readonly number[];
  readonly extras: readonly number[];
  /** Dragging above 0, rushing below: the usual error. */
  readonly bias: Seconds;
  /** How uneven it is: the standard deviation of the errors about what is usual at that time. */
  readonly spread: Seconds;
  /** By how much later the last strikes come than the first ones. */
  readonly drift: Seconds;
}

/** Latency is looked for within these: a phone by Bluetooth is a third of a second late. */
const LATENCY = { least: -0.15, most: 0.5 } as const;
/** A latency is told apart by its likeness to what devices have; of two that fit alike the smaller one is taken. */
const LIKELY_WITHIN: Seconds = 0.6;
/** Differences that belong together scatter by about this much. */
const SCATTER: Seconds = 0.02;
/** Fineness with which the latency is looked for first. */
const STEP: Seconds = 0.004;
/** No strike is so far from its place that it is another one's. */
const FARTHEST: Seconds = 0.16;
/** Of the scatter of hits, so many standard deviations are one still. */
const STILL = 4.2;
/** A trend is distinguished from so many hits on. */
const ENOUGH = 8;
const ROUNDS = 4;

/**
 * Which heard strike is which due one. The latency of the device, where nobody knows it, is what most strikes agree on; then the
 * strikes are put together in order, so that as many as possible are hits and together as near as possible.
 *
 * @example
 * matchStrikes([{ at: 1 }, { at: 2 }], [{ at: 1.1 }, { at: 2.1 }]).hits.length // 2
 */
export function matchStrikes(
  due: readonly DueStrike[],
  heard: readonly HeardStrike[],
  known?: Seconds,
): StrikeMatch {
  const dueAt = inOrder(due);
  const heardAt = inOrder(heard);
  let center = known ?? latencyOf(dueAt, heardAt);
  let scatter: Seconds = 0.04;
  let slope = 0;
  // A trend turns about the middle of what was heard: nothing is known of the rest.
  let middle = dueAt.length === 0 ? 0 : (dueAt[0]!.at + dueAt.at(-1)!.at) / 2;
  const expected = (at: Seconds): Seconds => at + center + slope * (at - middle);
  let pairs: Pair[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    pairs = pairUp(dueAt, heardAt, expected, scatter);
    if (pairs.length < 3) break;
    const offsets = pairs.map(([i, j]) => heardAt[j]!.at - dueAt[i]!.at);
    const times = pairs.map(([i]) => dueAt[i]!.at);
    middle = times.reduce((sum, at) => sum + at, 0) / times.length;
    slope = pairs.length >= ENOUGH ? trend(times, offsets) : 0;
    const flat = offsets.map((offset, k) => offset - slope * (times[k]! - middle));
    center = centre(flat);
    scatter = clamp(spreadOf(flat.map((each) => each - center)), 0.018, 0.05);
  }
  const flat = pairs.map(([i, j]) => heardAt[j]!.at - dueAt[i]!.at - slope * (dueAt[i]!.at - middle));
  const usual = flat.length === 0 ? (known ?? 0) : centre(flat);
  const latency = known ?? usual;
  const hits = pairs.map(([i, j]): Hit => ({
    due: dueAt[i]!.index,
    onset: heardAt[j]!.index,
    error: heardAt[j]!.at - dueAt[i]!.at - latency,
  }));
  const isHit = new Set(hits.map((hit) => hit.due));
  const wasHit = new Set(hits.map((hit) => hit.onset));
  const span = pairs.length < 2 ? 0 : dueAt[pairs.at(-1)![0]]!.at - dueAt[pairs[0]![0]]!.at;
  return {
    latency,
    hits,
    misses: due.flatMap((_, i) => (isHit.has(i) ? [] : [i])),
    extras: heard.flatMap((_, i) => (wasHit.has(i) ? [] : [i])),
    bias: usual - latency,
    spread: flat.length < 2 ? 0 : deviation(flat.map((each) => each - usual)),
    drift: slope * span,
  };
}

interface Placed {
  readonly at: Seconds;
  readonly index: number;
}
type Pair = readonly [due: number, heard: number];

const inOrder = (all: readonly { readonly at: Seconds }[]): Placed[] =>
  all.map(({ at }, index) => ({ at, index })).sort((a, b) => a.at - b.at || a.index - b.index);

const clamp = (value: number, least: number, most: number): number => Math.min(most, Math.max(least, value));

/** Where most differences between heard and due strikes lie close together. */
function latencyOf(due: readonly Placed[], heard: readonly Placed[]): Seconds {
  const bins = Math.ceil((LATENCY.most - LATENCY.least) / STEP) + 1;
  const counts = new Float64Array(bins);
  eachNear(
    due,
    heard,
    (at) => at + LATENCY.least,
    (at) => at + LATENCY.most,
    (i, j) => {
      const difference = heard[j]!.at - due[i]!.at - LATENCY.least;
      counts[Math.min(bins - 1, Math.max(0, Math.round(difference / STEP)))]! += 1;
    },
  );
  const reach = Math.ceil((3 * SCATTER) / STEP);
  let [best, most] = [0, 0];
  for (let bin = 0; bin < bins; bin++) {
    let near = 0;
    for (let off = -reach; off <= reach; off++)
      near += (counts[bin + off] ?? 0) * Math.exp(-((off * STEP) ** 2) / (2 * SCATTER ** 2));
    const value = LATENCY.least + bin * STEP;
    const likely = near * Math.exp(-((value / LIKELY_WITHIN) ** 2) / 2);
    if (likely > most) [best, most] = [value, likely];
  }
  return best;
}

/** Every heard strike within the limits of each due one. */
function eachNear(
  due: readonly Placed[],
  heard: readonly Placed[],
  from: (at: Seconds) => Seconds,
  to: (at: Seconds) => Seconds,
  tell: (due: number, heard: number) => void,
): void {
  let first = 0;
  for (const [i, { at }] of due.entries()) {
    while (first < heard.length && heard[first]!.at < from(at)) first += 1;
    for (let j = first; j < heard.length && heard[j]!.at <= to(at); j++) tell(i, j);
  }
}

/**
 * The assignment in order that is worth most: each hit is worth a miss and an extra less its distance. Found as the heaviest rising
 * chain of near pairs, with a tree of prefix maxima, so that hours of strikes take no longer than they are many.
 */
function pairUp(
  due: readonly Placed[],
  heard: readonly Placed[],
  expected: (at: Seconds) => Seconds,
  scatter: Seconds,
): Pair[] {
  const reach = Math.min(FARTHEST, STILL * scatter);
  interface Link {
    readonly pair: Pair;
    readonly worth: number;
    readonly before: Link | null;
  }
  const tree: (Link | null)[] = Array.from({ length: heard.length + 1 }, () => null);
  const bestBelow = (j: number): Link | null => {
    let best: Link | null = null;
    for (let at = j; at > 0; at -= at & -at) {
      const link = tree[at]!;
      if (link && (!best || link.worth > best.worth)) best = link;
    }
    return best;
  };
  const put = (j: number, link: Link): void => {
    for (let at = j + 1; at <= heard.length; at += at & -at) {
      const there = tree[at];
      if (!there || link.worth > there.worth) tree[at] = link;
    }
  };
  const near = new Map<number, number[]>();
  eachNear(
    due,
    heard,
    (at) => expected(at) - reach,
    (at) => expected(at) + reach,
    (i, j) => {
      const list = near.get(i);
      if (list) list.push(j);
      else near.set(i, [j]);
    },
  );
  for (const [i, list] of near) {
    // All of one due strike are weighed before any of them is put down: it is hit once.
    const links = list.map((j): readonly [number, Link] => {
      const before = bestBelow(j);
      const off = (heard[j]!.at - expected(due[i]!.at)) / reach;
      return [j, { pair: [i, j], worth: (before?.worth ?? 0) + 1 - 0.999 * off * off, before }];
    });
    for (const [j, link] of links) put(j, link);
  }
  const pairs: Pair[] = [];
  for (let link = bestBelow(heard.length); link; link = link.before) pairs.push(link.pair);
  return pairs.reverse();
}

/** A mean that strays do not move (Huber's, at one and a half deviations). */
function centre(values: readonly number[]): number {
  let mean = median([...values]);
  for (let round = 0; round < 10; round++) {
    const limit = 1.5 * Math.max(spreadOf(values.map((each) => each - mean)), 0.002);
    const next =
      mean + values.reduce((sum, each) => sum + clamp(each - mean, -limit, limit), 0) / values.length;
    if (Math.abs(next - mean) < 1e-6) return next;
    mean = next;
  }
  return mean;
}

/** The standard deviation that the middle half of the errors has (1.349 of them lie between the quartiles). */
const spreadOf = (errors: readonly number[]): number => interquartileRange([...errors]) / 1.349;

const deviation = (errors: readonly number[]): number =>
  Math.sqrt(errors.reduce((sum, each) => sum + each * each, 0) / (errors.length - 1));

/** The usual slope between two hits (Theil and Sen), from pairs half the round apart, which are as many as there are hits. */
function trend(times: readonly number[], offsets: readonly number[]): number {
  const half = Math.floor(times.length / 2);
  const slopes: number[] = [];
  for (let i = 0; i + half < times.length; i++) {
    const apart = times[i + half]! - times[i]!;
    if (apart > 0) slopes.push((offsets[i + half]! - offsets[i]!) / apart);
  }
  return slopes.length === 0 ? 0 : median(slopes);
}
