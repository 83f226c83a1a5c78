import fc from 'fast-check';
import { clockDifference, type RoundTrip } from './clocks.ts';

/** Round trips over a link whose two ways take these times, to a clock that is so far ahead. */
function trips(ways: readonly (readonly [number, number])[], ahead: number): RoundTrip[] {
  return ways.map(([there, back], i) => ({
    sent: i * 1000,
    answered: i * 1000 + there + ahead,
    came: i * 1000 + there + back,
  }));
}
const ways = fc.array(fc.tuple(fc.nat(400), fc.nat(400)), {
  minLength: 1,
  maxLength: 30,
});

describe('clockDifference', () => {
  it('knows nothing before the first answer', () => {
    expect(clockDifference([])).toBeNull();
  });
  it('is never wrong by more than it says, however long each way takes', () => {
    fc.assert(
      fc.property(ways, fc.integer({ min: -7_200_000, max: 7_200_000 }), (link, ahead) => {
        const found = clockDifference(trips(link, ahead))!;
        expect(Math.abs(found.ahead - ahead)).toBeLessThanOrEqual(found.within + 1e-6);
      }),
    );
  });
  it('becomes surer with each trip, never less sure', () => {
    fc.assert(
      fc.property(ways, (link) => {
        const all = trips(link, 5000);
        const sureness = all.map((_, i) => clockDifference(all.slice(0, i + 1))!.within);
        for (const [i, within] of sureness.entries())
          if (i > 0) expect(within).toBeLessThanOrEqual(sureness[i - 1]! + 1e-6);
      }),
    );
  });
  it('forgets what it knew of a clock that was set', () => {
    const before = trips(Array(5).fill([1, 1]) as [number, number][], 1000);
    const after = { sent: 9000, answered: 9000 + 3_600_000 + 10, came: 9030 };
    const { ahead } = clockDifference([...before, after])!;
    expect(Math.abs(ahead - 3_600_000)).toBeLessThanOrEqual(15);
  });
});
