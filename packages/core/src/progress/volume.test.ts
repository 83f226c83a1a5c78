import { volumeByWeek, type VolumeRound } from './volume.ts';

const limbs = (hands: number, legs: number) => ({
  ...{ 'left-hand': hands, 'right-hand': hands, 'left-leg': legs, 'right-leg': legs },
});
const round = (day: string, hands = 30, legs = 20, share = 1): VolumeRound => ({
  day,
  planned: limbs(hands, legs),
  share,
});

describe('volumeByWeek', () => {
  it('adds up by weeks from Monday to Sunday, and shows those without a class', () => {
    const { weeks } = volumeByWeek(
      [round('2026-03-02'), round('2026-03-08'), round('2026-03-16')],
      '2026-03-18',
    );
    expect(weeks.map(({ week, done }) => [week, done])).toEqual([
      ['2026-03-02', 200],
      ['2026-03-09', 0],
      ['2026-03-16', 100],
    ]);
  });

  it('tells what was planned and what was done', () => {
    const { weeks } = volumeByWeek(
      [round('2026-03-02', 30, 20, 0.5), round('2026-03-03', 10, 0, 0)],
      '2026-03-03',
    );
    expect(weeks).toEqual([{ week: '2026-03-02', planned: 120, done: 50, limbs: limbs(15, 10) }]);
  });

  it('notes a week above one and a half of the four before', () => {
    const days = ['2026-03-02', '2026-03-09', '2026-03-16', '2026-03-23', '2026-03-30'];
    const even = days.map((day) => round(day));
    expect(volumeByWeek(even, '2026-03-31').jump).toBeNull();
    expect(volumeByWeek([...even, round('2026-03-31', 60, 0)], '2026-03-31').jump).toBeCloseTo(2.2, 6);
    expect(volumeByWeek(even.slice(0, 3), '2026-03-17').jump).toBeNull();
  });

  it('names the limb that gets little', () => {
    expect(volumeByWeek([round('2026-03-02', 30, 30)], '2026-03-03').neglected).toBeNull();
    expect(volumeByWeek([round('2026-03-02', 45, 5)], '2026-03-03').neglected).toMatch(/leg$/);
    expect(volumeByWeek([round('2026-03-02', 0, 0)], '2026-03-03')).toMatchObject({
      shares: null,
      neglected: null,
    });
  });

  it('counts nothing that is still to come', () => {
    expect(volumeByWeek([round('2026-04-02')], '2026-03-03').weeks).toEqual([]);
  });
});
