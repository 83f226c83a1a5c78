import fc from 'fast-check';
import { tapLatency } from './index.ts';

const BEAT = 2 / 3;
const ticks = Array.from({ length: 16 }, (_, i) => 1 + i * BEAT);

describe('tapLatency', () => {
  it('finds a constant lateness under human spread and single slips', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 0.35, noNaN: true }),
        fc.array(fc.double({ min: -0.02, max: 0.02, noNaN: true }), { minLength: 16, maxLength: 16 }),
        fc.integer({ min: 3, max: 15 }),
        (late, spread, slip) => {
          // the tapper is 30 ms ahead of what is heard
          const taps = ticks.map((at, i) => at + late - 0.03 + spread[i]! + (i === slip ? 0.2 : 0));
          const found = tapLatency(ticks, taps, BEAT)!;
          expect(Math.abs(found.latency - late)).toBeLessThan(0.021);
          expect(found.spread).toBeLessThan(0.021);
        },
      ),
    );
  });
  it('says nothing from a few taps, or from taps that belong to no tick', () => {
    expect(tapLatency(ticks, ticks.slice(0, 7), BEAT)).toBeNull();
    expect(
      tapLatency(
        ticks,
        Array.from({ length: 12 }, (_, i) => 100 + i),
        BEAT,
      ),
    ).toBeNull();
  });
});
