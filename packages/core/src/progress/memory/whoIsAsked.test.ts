import type { Recall } from './memory.ts';
import { groupWithMostDue, whoIsAsked } from './whoIsAsked.ts';

const group = ['ines', 'suda', 'lumi'].map((id) => ({ id, name: id }));
interface Known {
  readonly isDue: boolean;
  readonly isSlipping: boolean;
  readonly last: Recall;
}
const memory = (fighterId: string, comboId: string, more: Partial<Known> = {}) => ({
  ...{ fighterId, comboId, isDue: false, isSlipping: false, last: 'recalled' as Recall },
  ...more,
});

it('nobody is asked for a combo that he neither trained nor was asked for', () => {
  const asked = whoIsAsked(group, {
    items: [memory('ines', 'a')],
    trained: [{ fighterId: 'suda', comboIds: ['a', 'b'] }],
  });
  expect(asked.map(({ comboId, who }) => [comboId, who.map(({ id }) => id)])).toEqual([
    ['a', ['ines', 'suda']],
    ['b', ['suda']],
  ]);
});

it('what is due with most comes first, those who are due first by name', () => {
  const asked = whoIsAsked(group, {
    items: [
      memory('ines', 'a'),
      memory('suda', 'a', { isDue: true, isSlipping: true }),
      memory('ines', 'b', { isDue: true }),
      memory('lumi', 'b', { last: 'forgot' }),
    ],
    trained: [],
  });
  expect(
    asked.map(({ comboId, due, who }) => [comboId, due, ...who.map(({ id, due }) => `${id}: ${due}`)]),
  ).toEqual([
    ['b', 2, 'ines: due', 'lumi: due, forgotten last time'],
    ['a', 1, 'suda: due, slipping', 'ines: '],
  ]);
});

it('people of other groups stay out', () => {
  expect(whoIsAsked(group, { items: [memory('nobody', 'a', { isDue: true })], trained: [] })).toEqual([]);
});

it('the page opens at the group that has most to be asked', () => {
  const groupOf = (id: string) => ({ ines: 'spring', suda: 'spring', lumi: 'minnows' })[id] ?? null;
  const due = { isDue: true };
  const all = [memory('lumi', 'a', due), memory('ines', 'a', due), memory('suda', 'b', due)];
  expect(groupWithMostDue(all, groupOf)).toBe('spring');
  expect(groupWithMostDue([memory('lumi', 'a'), memory('nobody', 'a', due)], groupOf)).toBeNull();
});
