/** Somebody who trains, as far as it matters for who stands with whom. */
export interface Trainee {
  readonly id: string;
  /** Place of the grade, lowest first. */
  readonly rank: number;
  /** Height in centimetres; null when nobody measured. */
  readonly size: number | null;
  /** How quick this one is, as a factor on the times of the book; null when nobody measured. */
  readonly pace?: number | null;
  /** Ids of those who should not stand together with this one. */
  readonly apart: readonly string[];
}

/** Two or three who work together; somebody alone when there is nobody else. */
export type Group = readonly string[];

/** A difference of one grade weighs as much as this many centimetres. */
const CM_PER_GRADE = 8;
/** So does a body that is slower by this share: who holds waits as long as who strikes. */
const SLOWER_PER_GRADE = 0.1;
/** Standing with somebody again is worse than any difference; with somebody to be kept apart worse still. */
const AGAIN = 1000;
const APART = 100_000;
/** Uneven work is worse than standing with somebody again. */
const UNEVEN = 5000;

/**
 * Who stands with whom in each of `rounds` rotations. With an even number everybody has one partner; with an odd one a
 * three is made, and it is another three each time while it can be. Nobody meets the same partner again while others are
 * left, those to be kept apart stay apart where there is any other way, and similar grade, size and pace go together. Latecomers
 * call for a new plan of what is left: `met` says who has met already.
 *
 * @param rounds rotations, 0 or more
 *
 * @example
 * pairUp([], 1) // [[]]
 */
export function pairUp(people: readonly Trainee[], rounds: number, met: readonly Group[] = []): Group[][] {
  const all = [...met];
  return Array.from({ length: rounds }, () => {
    const groups = groupUp(people, 2, all);
    all.push(...groups);
    return groups;
  });
}

/**
 * One rotation in groups of a size, as `pairUp` makes them; what does not come out even goes in pairs or a three. In a pair there is
 * more work than in a three: those who have worked least stand in it.
 *
 * @param worked how often somebody has worked so far
 *
 * @example
 * groupUp(['a', 'b', 'c', 'd'].map((id) => ({ id, rank: 1, size: null, apart: [] })), 2, [['a', 'b'], ['c', 'd']]).map((group) => group.includes('a') && group.includes('b')) // [false, false]
 */
export function groupUp(
  people: readonly Trainee[],
  size: 1 | 2 | 3,
  met: readonly Group[],
  worked: (id: string) => number = () => 0,
): Group[] {
  if (size === 1) return people.map(({ id }) => [id]);
  const times = new Map<string, number>();
  const threes = new Map<string, number>();
  for (const group of met) {
    for (const [a, b] of pairsOf(group)) times.set(keyOf(a, b), (times.get(keyOf(a, b)) ?? 0) + 1);
    if (group.length === 3) for (const id of group) threes.set(id, (threes.get(id) ?? 0) + 1);
  }
  const cost = costOf(times);
  return size === 2 ? rotation(people, threes, cost, worked) : inThrees(people, cost, worked);
}

/** Threes, with one pair when two are over, or two pairs when one is. */
function inThrees(people: readonly Trainee[], cost: Cost, worked: (id: string) => number): Group[] {
  const pairs = people.length % 3 === 0 ? 0 : people.length % 3 === 2 ? 1 : 2;
  if (people.length < 4) return people.length === 0 ? [] : [people.map(({ id }) => id)];
  const fresh = [...people].sort((a, b) => worked(a.id) - worked(b.id)).slice(0, 2 * pairs);
  const evenly = evenedBy(cost, fresh, worked);
  const inPairs = pairs === 0 ? [] : improved(firstPairs(fresh, evenly), evenly);
  // Who is to be kept apart is, also where that costs somebody a turn.
  const isKept = inPairs.some(([a, b]) => cost(a, b) >= APART);
  const left = isKept ? [...people] : people.filter((each) => !fresh.includes(each));
  const groups: Trainee[][] = isKept ? [] : inPairs.map((pair) => [...pair]);
  const made = groups.length;
  while (left.length > 0) {
    const size = groups.length < pairs ? 2 : 3;
    const group = [left.shift()!];
    while (group.length < size) {
      const price = (each: Trainee): number => group.reduce((sum, member) => sum + cost(member, each), 0);
      const next = left.reduce((best, each) => (price(each) < price(best) ? each : best));
      left.splice(left.indexOf(next), 1);
      group.push(next);
    }
    groups.push(group);
  }
  const threes = exchanged(groups.slice(made), cost);
  return [...groups.slice(0, made), ...threes].map((group) => group.map(({ id }) => id));
}

/** Exchanges members between groups as long as that is better for both together. */
function exchanged(groups: Trainee[][], cost: Cost): Trainee[][] {
  const price = (group: readonly Trainee[]): number =>
    group.reduce((sum, a, i) => sum + group.slice(i + 1).reduce((part, b) => part + cost(a, b), 0), 0);
  const made = groups.map((group) => [...group]);
  for (let changed = true; changed;) {
    changed = false;
    for (const [i, one] of made.entries()) {
      for (const other of made.slice(i + 1)) {
        for (const a of one.keys()) {
          for (const b of other.keys()) {
            const before = price(one) + price(other);
            [one[a], other[b]] = [other[b]!, one[a]!];
            if (price(one) + price(other) < before - 1e-9) changed = true;
            else [one[a], other[b]] = [other[b]!, one[a]!];
          }
        }
      }
    }
  }
  return made;
}

function pairsOf(group: Group): [string, string][] {
  return group.flatMap((a, i) => group.slice(i + 1).map((b): [string, string] => [a, b]));
}

const keyOf = (a: string, b: string): string => (a < b ? `${a} ${b}` : `${b} ${a}`);

function rotation(
  people: readonly Trainee[],
  threes: ReadonlyMap<string, number>,
  cost: Cost,
  worked: (id: string) => number,
): Group[] {
  if (people.length < 2) return people.map(({ id }) => [id]);
  // In a three one works less than in a pair: the odd one is of those who have worked most, and joins the pair that it fits best.
  const most = Math.max(...people.map(({ id }) => worked(id)));
  const ahead = people.filter(({ id }) => worked(id) === most);
  const odd = people.length % 2 === 1 ? leastIn(ahead, threes) : null;
  const pairs = improved(
    firstPairs(
      people.filter((each) => each !== odd),
      cost,
    ),
    cost,
  );
  if (!odd) return pairs.map(([a, b]) => [a.id, b.id]);
  const withOdd = pairs
    .map(([a, b], i) => ({
      i,
      price: cost(odd, a) + cost(odd, b) + AGAIN * ((threes.get(a.id) ?? 0) + (threes.get(b.id) ?? 0)),
    }))
    .sort((x, y) => x.price - y.price)[0]!;
  return pairs.map(([a, b], i) => (i === withOdd.i ? [a.id, b.id, odd.id] : [a.id, b.id]));
}

function costOf(times: ReadonlyMap<string, number>): Cost {
  return remembered(
    (a, b) =>
      Math.abs(a.rank - b.rank) * CM_PER_GRADE +
      (a.size === null || b.size === null ? 0 : Math.abs(a.size - b.size)) +
      (a.pace && b.pace ? (CM_PER_GRADE * Math.abs(Math.log(a.pace / b.pace))) / SLOWER_PER_GRADE : 0) +
      (times.get(keyOf(a.id, b.id)) ?? 0) * AGAIN +
      (a.apart.includes(b.id) || b.apart.includes(a.id) ? APART : 0),
  );
}

/** Costs by which pairs that have one turn more than people come out even: who worked more stands with who worked less. */
function evenedBy(cost: Cost, people: readonly Trainee[], worked: (id: string) => number): Cost {
  const mean = people.reduce((sum, { id }) => sum + worked(id), 0) / Math.max(1, people.length);
  return (a, b) => cost(a, b) + UNEVEN * Math.abs(worked(a.id) + worked(b.id) - 2 * mean);
}

function leastIn(people: readonly Trainee[], threes: ReadonlyMap<string, number>): Trainee {
  return people.reduce((least, each) =>
    (threes.get(each.id) ?? 0) < (threes.get(least.id) ?? 0) ? each : least,
  );
}

type Pair = [Trainee, Trainee];
type Cost = (a: Trainee, b: Trainee) => number;

/** The same costs, each reckoned once. */
function remembered(cost: Cost): Cost {
  const known = new Map<Trainee, Map<Trainee, number>>();
  return (a, b) => {
    let ofA = known.get(a);
    if (!ofA) known.set(a, (ofA = new Map()));
    let found = ofA.get(b);
    if (found === undefined) ofA.set(b, (found = cost(a, b)));
    return found;
  };
}

/** The circle method turned until it is cheapest: one stays, the others move on by one place. */
function firstPairs(people: readonly Trainee[], cost: Cost): Pair[] {
  const [fixed, ...ring] = people;
  if (!fixed) return [];
  const turns = ring.map((_, turn) => {
    const turned = [fixed, ...ring.slice(turn), ...ring.slice(0, turn)];
    return Array.from({ length: turned.length / 2 }, (_, i): Pair => [turned[i]!, turned.at(-1 - i)!]);
  });
  const total = (pairs: readonly Pair[]): number => pairs.reduce((sum, [a, b]) => sum + cost(a, b), 0);
  return turns.reduce((best, pairs) => (total(pairs) < total(best) ? pairs : best));
}

/** Exchanges partners between two pairs as long as that is better for both together. */
function improved(pairs: Pair[], cost: Cost): Pair[] {
  const made = [...pairs];
  for (let changed = true; changed;) {
    changed = false;
    for (let i = 0; i < made.length; i++) {
      for (let j = i + 1; j < made.length; j++) {
        const [[a, b], [c, d]] = [made[i]!, made[j]!];
        const now = cost(a, b) + cost(c, d);
        const options: [Pair, Pair][] = [
          [
            [a, c],
            [b, d],
          ],
          [
            [a, d],
            [b, c],
          ],
        ];
        for (const [one, other] of options) {
          if (cost(...one) + cost(...other) >= now - 1e-9) continue;
          made[i] = one;
          made[j] = other;
          changed = true;
          break;
        }
      }
    }
  }
  return made;
}
