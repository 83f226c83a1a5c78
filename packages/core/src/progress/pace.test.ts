import { PACE_FACTORS } from '../body/index.ts';
import { normalDraw, seededRandom } from '../units/index.ts';
import { fitPace, type PaceGap } from './pace.ts';

/** Gaps of combos at growing tempo by somebody of a known pace: the line where there is time for it, the body where there is not. */
function gaps(factor: number, count: number, asked: readonly number[], seed = 1): PaceGap[] {
  const random = seededRandom(seed);
  return Array.from({ length: count }, (_, i) => {
    const least = [0.3, 0.24][i % 2]!;
    const line = least * asked[(i >> 1) % asked.length]!;
    const seconds = Math.max(line, factor * least) + 0.02 * normalDraw(random);
    return { pair: i % 2 === 0 ? 'hand-leg' : 'hand-hand', line, least, seconds };
  });
}

describe('fitPace', () => {
  it('finds the pace of a profile within 10 % from 60 combos', () => {
    for (const factor of Object.values(PACE_FACTORS))
      for (let seed = 1; seed < 20; seed++) {
        const { pace, pairs } = fitPace(gaps(factor, 180, [0.9, 1.1, 1.3, 1.7], seed), 1.25)!;
        expect(Math.abs(pace.base / factor - 1)).toBeLessThan(0.1);
        for (const pair of pairs) expect(Math.abs(pair.factor / factor - 1)).toBeLessThan(0.1);
      }
  });

  it('stays near the gym where little was measured', () => {
    expect(fitPace(gaps(2, 2, [1]), 1.25)!.pace.base).toBeLessThan(1.5);
  });

  it('does not take a slow line for a slow body', () => {
    const { pairs, pace } = fitPace(gaps(1.1, 60, [3, 4]), 1.25)!;
    expect(pairs.every(({ atMost }) => atMost)).toBe(true);
    expect(pace.base).toBeLessThanOrEqual(1.25);
  });

  it('is not reported without a gap', () => {
    expect(fitPace([], 1.25)).toBeNull();
    expect(fitPace([{ pair: 'leg-leg', seconds: 0, line: 1, least: 1 }], 1.25)).toBeNull();
  });
});
