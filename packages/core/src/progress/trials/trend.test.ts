import { classDays, virtualTrials } from '../../simulation/index.ts';
import { seededRandom } from '../../units/index.ts';
import { trend } from './trend.ts';

const course = (perFourWeeks: number, seed: number) =>
  virtualTrials(
    { level: 23, perFourWeeks, error: 1, dayError: 0.5 },
    classDays('2026-01-05', 16, 7),
    2,
    seededRandom(seed),
  );

describe('trend', () => {
  it('is not distinguished from three days', () => {
    expect(trend(course(1, 1).slice(0, 3), 'higher')).toBeNull();
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
    expect(held.length / 200).toBeGreaterThan(0.85);
    expect(held.length / 200).toBeLessThan(0.97);
  });
});
