import type { MemoryView } from '@eurhythm/contract';
import { whoIsAsked } from './whoIsAsked.ts';

const group = ['ines', 'suda', 'lumi'].map((id) => ({ id, name: id }));
const memory = (fighterId: string, comboId: string, more: Partial<MemoryView> = {}): MemoryView => ({
  ...{ fighterId, comboId, combo: comboId, chance: 0.9, due: '', isDue: false, isSlipping: false },
  ...{ times: 1, lapses: 0, last: 'recalled' },
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
      memory('lumi', 'b', { last: 'forgot', chance: 0 }),
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
