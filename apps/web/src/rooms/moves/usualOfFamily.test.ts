import { STARTER_MOVES } from '@eurhythm/core/moves';
import { formFromMove } from '@eurhythm/contract';
import { usualOfFamily } from './usualOfFamily.ts';

const book = STARTER_MOVES.map((move) => formFromMove(move));

it.each([
  ['kick', { limb: 'leg', side: 'free-rear', level: 'body', support: 'one-foot' }],
  ['knee', { limb: 'leg', side: 'free-rear', level: 'body' }],
  ['punch', { limb: 'hand', level: 'head', turn: 1, support: 'both-feet' }],
  ['evasion', { limb: 'body', side: 'over-front', level: null }],
  ['step', { limb: 'feet', level: null, lead: 'keeps' }],
] as const)('a new %s begins as most of them are', (family, usual) =>
  expect(usualOfFamily(family, book)).toMatchObject(usual),
);

it('takes the times of the middle one, and says nothing of a family that the book lacks', () => {
  const { out, back } = usualOfFamily('kick', book)!;
  expect([out > 0.3 && out < 0.5, back > 0.3 && back < 0.5]).toEqual([true, true]);
  expect(usualOfFamily('kick', [])).toBeUndefined();
});
