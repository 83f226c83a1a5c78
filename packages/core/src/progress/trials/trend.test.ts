import { classDays, virtualTrials } from '../../simulation/index.ts';
import { normalDraw, seededRandom } from '../../units/index.ts';
import { trend } from './trend.ts';

const course = (perFourWeeks: number, seed: number) =>
  virtualTrials(
    { level: 23, perFourWeeks, error: 1, dayError: 0.5 },
    classDays('2026-01-05', 16, 7),
    2,
    seededRandom(seed),
  );

describe('trend', () => {
  it('is not distinguished from four days', () => {
    expect(trend(course(1, 1).slice(0, 4), 'higher')).toBeNull();
  });

  it('is flat and unclear where nothing changes', () => {
    const days = classDays('2026-01-05', 6, 7).map((day) => ({ day, values: [20] }));
    expect(trend(days, 'higher')).toEqual({
      perFourWeeks: 0,
      from: 0,
      to: 0,
      level: 20,
      days: 6,
      way: 'unclear',
    });
  });

  it('is better or worse by the better end', () => {
    expect(trend(course(2, 1), 'higher')!.way).toBe('better');
    expect(trend(course(2, 1), 'lower')!.way).toBe('worse');
    expect(trend(course(-2, 1), 'lower')!.way).toBe('better');
  });

  it('is not moved by one wild day', () => {
    const days = course(1, 3);
    const wild = days.map((day, i) => (i === 15 ? { ...day, values: [70, 70] } : day));
    expect(Math.abs(trend(wild, 'higher')!.perFourWeeks - trend(days, 'higher')!.perFourWeeks)).toBeLessThan(
      0.5,
    );
  });

  it('has an interval that mostly holds the truth', () => {
    const held = Array.from({ length: 200 }, (_, seed) => trend(course(1, seed), 'higher')!).filter(
      ({ from, to }) => from <= 1 && to >= 1,
    );
    expect(held.length / 200).toBeGreaterThan(0.92);
  });

  it.each([5, 8, 20, 40])('is told of no more than one in twenty who did not change, over %d days', (n) => {
    const random = seededRandom(n);
    const FIGHTERS = 1500;
    let told = 0;
    for (let i = 0; i < FIGHTERS; i++) {
      // A time, whose days scatter far more widely now and then than by the bell curve.
      const wide = (): number => normalDraw(random) / Math.max(0.4, Math.abs(normalDraw(random)));
      const days = classDays('2026-01-05', n, 7).map((day) => ({ day, values: [2 + 0.06 * wide()] }));
      if (trend(days, 'lower')!.way !== 'unclear') told += 1;
    }
    expect(told / FIGHTERS).toBeLessThan(0.06);
  });
});
