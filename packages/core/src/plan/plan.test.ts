import fc from 'fast-check';
import { fitToLength, pairUp, type Stretchable, type Trainee } from './index.ts';

const part = (id: string, seconds: number, min = seconds / 2, max = seconds * 2): Stretchable => ({
  id,
  seconds,
  min,
  max,
});

describe('fitToLength', () => {
  it('takes most from the longest, and tells the exact sum', () => {
    const fit = fitToLength([part('a', 60), part('b', 180), part('c', 60)], 240);
    const to = new Map(fit.changes.map((change) => [change.id, change.to]));
    expect([fit.total, fit.missing]).toEqual([240, 0]);
    expect(180 - to.get('b')!).toBeGreaterThan(60 - (to.get('a') ?? 60));
  });
  it('leaves what is fixed, and says what cannot be reached', () => {
    const fit = fitToLength(
      [part('warm-up', 120, 120, 240), part('count', 90, 90, 90), part('pads', 180)],
      100,
    );
    expect(fit.changes).toEqual([{ id: 'pads', from: 180, to: 90 }]);
    expect([fit.total, fit.missing]).toEqual([300, -200]);
  });
  it('spreads what rounding leaves over many parts, and does not put it all on one', () => {
    const equal = ['a', 'b', 'c', 'd', 'e'].map((id) => part(id, 100));
    const { changes, total } = fitToLength(equal, 510);
    expect(total).toBe(510);
    expect(changes.map(({ to }) => to)).toEqual([105, 105]);
    const longer = fitToLength([part('a', 60), part('b', 180)], 180);
    expect(longer.changes.map(({ id, to }) => [id, to])).toEqual([
      ['a', 55],
      ['b', 125],
    ]);
  });
  it('changes nothing where nothing has to be changed', () => {
    expect(fitToLength([part('a', 33), part('b', 47)], 80)).toEqual({ changes: [], total: 80, missing: 0 });
    expect(fitToLength([], 60)).toEqual({ changes: [], total: 0, missing: 60 });
  });
  it('always fits exactly where the limits allow it, and never beyond them', () => {
    const any = fc.record({
      seconds: fc.integer({ min: 10, max: 600 }),
      down: fc.double({ min: 0, max: 1, noNaN: true }),
      up: fc.double({ min: 1, max: 3, noNaN: true }),
    });
    fc.assert(
      fc.property(
        fc.array(any, { minLength: 1, maxLength: 30 }),
        fc.integer({ min: 60, max: 7200 }),
        (list, wanted) => {
          const parts = list.map(({ seconds, down, up }, i) =>
            part(String(i), seconds, Math.ceil(seconds * down), Math.floor(seconds * up)),
          );
          const { changes, total, missing } = fitToLength(parts, wanted);
          expect(total + missing).toBeCloseTo(wanted, 6);
          const lengths = parts.map(
            (each) => changes.find((change) => change.id === each.id)?.to ?? each.seconds,
          );
          expect(lengths.reduce((sum, x) => sum + x, 0)).toBeCloseTo(total, 6);
          lengths.forEach((x, i) =>
            expect(x >= parts[i]!.min - 1e-6 && x <= parts[i]!.max + 1e-6).toBe(true),
          );
          const [least, most] = [parts.reduce((s, p) => s + p.min, 0), parts.reduce((s, p) => s + p.max, 0)];
          if (wanted >= least && wanted <= most) expect(missing).toBeCloseTo(0, 6);
        },
      ),
    );
  });
});

describe('pairUp', () => {
  const people = (n: number, extra: Partial<Trainee> = {}): Trainee[] =>
    Array.from({ length: n }, (_, i) => ({
      id: `p${i}`,
      rank: i % 4,
      size: 150 + ((i * 7) % 40),
      apart: [],
      ...extra,
    }));

  it('brings everybody into one group each time, none alone but one who is alone', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 61 }), fc.integer({ min: 1, max: 8 }), (n, rounds) => {
        for (const groups of pairUp(people(n), rounds)) {
          expect(groups.flat().sort()).toEqual(
            people(n)
              .map(({ id }) => id)
              .sort(),
          );
          const sizes = groups.map((group) => group.length);
          if (n === 1) expect(sizes).toEqual([1]);
          else expect(sizes.filter((size) => size !== 2)).toEqual(n % 2 === 1 ? [3] : []);
        }
      }),
      { numRuns: 60 },
    );
  });
  it('repeats no pair early: half of the rotations that are possible bring new partners only', () => {
    for (const n of [4, 6, 8, 10, 12, 16]) {
      const seen = pairUp(people(n), n / 2)
        .flat()
        .map((group) => [...group].sort().join());
      expect(new Set(seen).size).toBe(seen.length);
    }
  });
  it('lets everybody be in a three about as often', () => {
    for (const n of [5, 7, 9, 13]) {
      const times = new Map(people(n).map(({ id }) => [id, 0]));
      for (const group of pairUp(people(n), n).flat())
        if (group.length === 3) for (const id of group) times.set(id, times.get(id)! + 1);
      expect(Math.max(...times.values()) - Math.min(...times.values())).toBeLessThanOrEqual(2);
    }
  });
  it('puts similar grades together, and keeps apart who should be', () => {
    const four = [0, 3, 0, 3].map((rank, i): Trainee => ({ id: `p${i}`, rank, size: null, apart: [] }));
    expect(
      pairUp(four, 1)[0]!
        .map((group) => [...group].sort().join())
        .sort(),
    ).toEqual(['p0,p2', 'p1,p3']);
    const apart = four.map((each, i) => (i === 0 ? { ...each, apart: ['p2'] } : each));
    expect(pairUp(apart, 1)[0]!.some((group) => group.includes('p0') && group.includes('p2'))).toBe(false);
  });
  it('puts those of similar pace together where grade and size say nothing', () => {
    const four = [1.1, 1.6, 1.1, 1.6].map((pace, i): Trainee => ({
      id: `p${i}`,
      rank: 0,
      size: null,
      apart: [],
      pace,
    }));
    const pairsOf = (people: readonly Trainee[]) =>
      pairUp(people, 1)[0]!
        .map((group) => [...group].sort().join())
        .sort();
    expect(pairsOf(four)).toEqual(['p0,p2', 'p1,p3']);
    // A pace that nobody measured is like any.
    expect(pairUp([{ ...four[0]!, pace: null }, four[1]!], 1)).toEqual([[['p0', 'p1']]]);
  });
  it('plans the rest anew when somebody comes late, remembering who has met', () => {
    const early = pairUp(people(4), 1);
    const later = pairUp(people(6), 1, early.flat());
    for (const group of early.flat())
      expect(later[0]!.some((other) => group.every((id) => other.includes(id)))).toBe(false);
  });
});
