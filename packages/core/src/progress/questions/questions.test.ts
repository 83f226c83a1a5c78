import { starterBook } from '../../moves/index.ts';
import {
  isAsked,
  limbShares,
  looseForLong,
  meantShares,
  sitsOut,
  wildLately,
  type MarkedDay,
} from '../index.ts';

const set = (day: number, quality: MarkedDay['quality'], comboId = 'c', fighterId = 'ada'): MarkedDay => ({
  ...{ fighterId, comboId, quality, day: `2026-03-${String(day).padStart(2, '0')}` },
});

describe('what Today asks', () => {
  it('is not asked again within a week unless it was changed, nor after an answer', () => {
    const before = { sentence: 'Not here for 21 days.', day: '2026-03-05', isAnswered: false };
    expect(isAsked('New', undefined, '2026-03-05')).toBe(true);
    expect(isAsked(before.sentence, before, '2026-03-05')).toBe(true);
    expect(isAsked('Not here for 22 days.', before, '2026-03-06')).toBe(false);
    expect(isAsked('Slack 3 was loose.', before, '2026-03-06')).toBe(true);
    expect(isAsked(before.sentence, { ...before, isAnswered: true }, '2026-03-05')).toBe(false);
    expect(isAsked(before.sentence, { ...before, isAnswered: true }, '2026-03-12')).toBe(true);
  });
  it('tells a combo that is loose in four classes running, and none that was clean between', () => {
    const four = [1, 3, 5, 8].map((day) => set(day, 'loose'));
    expect(looseForLong(four)).toEqual([{ fighterId: 'ada', comboId: 'c', classes: 4 }]);
    expect(looseForLong([...four, set(9, 'clean')])).toEqual([]);
    expect(looseForLong([...four.slice(1), set(1, 'clean')])).toEqual([]);
    expect(looseForLong(four.map((each, i) => ({ ...each, comboId: `c${i}` })))).toEqual([]);
  });
  it('tells who was wild in the last class, and not who was so before', () => {
    expect(wildLately([set(1, 'wild'), set(3, 'clean')])).toEqual([]);
    expect(wildLately([set(3, 'wild'), set(3, 'clean', 'd')])).toEqual([
      { fighterId: 'ada', day: '2026-03-03', comboIds: ['c'] },
    ]);
  });
  it('tells who sits out in every class', () => {
    const days = (...satOut: boolean[]) =>
      satOut.map((each, i) => ({ fighterId: 'bo', day: `2026-03-0${i + 1}`, satOut: each }));
    expect(sitsOut(days(false, true, true, true))).toEqual([{ fighterId: 'bo', classes: 3 }]);
    expect(sitsOut(days(true, true, true, false))).toEqual([]);
  });
  it('measures a limb against what is meant to be trained', () => {
    const hands = meantShares([{ line: '1 2' }, { line: '1 2 3 r:round' }], starterBook())!;
    expect(hands['left-leg'] + hands['right-leg']).toBeCloseTo(0.125, 9);
    const done = [{ 'left-hand': 45, 'right-hand': 45, 'left-leg': 5, 'right-leg': 5 }];
    expect(limbShares(done, hands).neglected).toBeNull();
    expect(limbShares(done).neglected).not.toBeNull();
    const noLeft = [{ 'left-hand': 48, 'right-hand': 48, 'left-leg': 0, 'right-leg': 6 }];
    expect(limbShares(noLeft, hands).neglected).toBe('left-leg');
  });
});
