import { limbShares, moveTotals, shareDone, volumeByWeek, weeksLeft, type VolumeRound } from './volume.ts';

const limbs = (hands: number, legs: number) => ({
  ...{ 'left-hand': hands, 'right-hand': hands, 'left-leg': legs, 'right-leg': legs },
});
const round = (day: string, hands = 30, legs = 20, share = 1): VolumeRound => ({
  run: day,
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
    expect(weeks).toEqual([{ week: '2026-03-02', planned: 120, done: 50, limbs: limbs(15, 10), classes: 1 }]);
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

describe('limbShares', () => {
  it('is of all that is given, and knows nothing of nothing', () => {
    expect(limbShares([limbs(30, 10), limbs(10, 10)]).shares).toMatchObject({
      'left-hand': 40 / 120,
      'left-leg': 20 / 120,
    });
    expect(limbShares([]).neglected).toBeNull();
  });
});

describe('shareDone', () => {
  it('is all, nothing, the part that was timed, or half', () => {
    expect(shareDone({ done: 'finished', seconds: null }, 60)).toBe(1);
    expect(shareDone({ done: 'sat-out', seconds: 30 }, 60)).toBe(0);
    expect(shareDone({ done: null, seconds: null }, 60)).toBe(0);
    expect(shareDone({ done: 'part', seconds: 90 }, 60)).toBe(1);
    expect(shareDone({ done: 'part', seconds: null }, 60)).toBe(0.5);
  });
});

describe('weeksLeft', () => {
  it('goes on as the last four weeks did', () => {
    expect(weeksLeft({ done: 900, lately: 40 }, 1000)).toBe(10);
    expect(weeksLeft({ done: 999, lately: 400 }, 1000)).toBe(1);
    expect(weeksLeft({ done: 1000, lately: 0 }, 1000)).toBe(0);
    expect(weeksLeft({ done: 10, lately: 0 }, 1000)).toBeNull();
  });
});

describe('moveTotals', () => {
  const of = (day: string, moves: Record<string, number>, share = 1) => ({ day, moves, share });
  it('counts each move since the first day, and apart in the last four weeks', () => {
    const rounds = [of('2025-01-10', { Jab: 100, Cross: 100 }), of('2026-03-02', { Jab: 10, Hook: 5 }, 0.5)];
    expect(moveTotals(rounds, '2026-03-05')).toEqual([
      { move: 'Jab', done: 105, lately: 5 },
      { move: 'Cross', done: 100, lately: 0 },
      { move: 'Hook', done: 3, lately: 3 },
    ]);
  });
  it('counts nothing that is still to come, nor what was sat out', () => {
    expect(moveTotals([of('2026-04-01', { Jab: 9 }), of('2026-03-01', { Jab: 9 }, 0)], '2026-03-05')).toEqual(
      [],
    );
  });
});
