import { SaveSessionDto, checkFields, type ComboView, type TestView } from '@eurhythm/contract';
import { starterBook } from '@eurhythm/core/moves';
import { askedIn, askedSession } from './askedSession.ts';

const combos = [
  { id: 'ebb-1', line: '1 2' },
  { id: 'ebb-2', line: '1 2 3' },
  { id: 'kicks', line: 'f:round 1 f:round' },
  { id: 'kick', line: '1 2 f:push' },
] as ComboView[];
const test = (kind: TestView['kind'], line: string | null = null) =>
  ({ id: kind, title: 'Two straights', kind, line, seconds: 10 }) as TestView;
const ground = {
  combos,
  tests: [test('burst', '1 2'), test('combo-time', '1 2 3'), test('reaction')],
  book: starterBook(),
  firstCombo: 'ebb-1',
  today: '5 March',
};
const asked = (of: Partial<Parameters<typeof askedSession>[0]>) =>
  askedSession({ ...askedIn(new URLSearchParams()), ...of }, ground);

describe('a session that another page asks for', () => {
  it('has the combo at its tempo', () => {
    expect(asked({ combo: 'ebb-2', bpm: 88 }).rounds[0]!.blocks[0]).toMatchObject({
      kind: 'combo',
      bpm: 88,
      combos: [{ comboId: 'ebb-2' }],
    });
    // A tempo that is none, and a combo that is gone, leave what is usual.
    expect(asked({ combo: 'gone', bpm: 4000 }).rounds[0]!.blocks[0]).toMatchObject({
      bpm: 80,
      combos: [{ comboId: 'ebb-1' }],
    });
  });
  it('has the burst of a test from both leads after a warm-up', () => {
    const { title, rounds } = asked({ test: 'burst' });
    expect(title).toBe('Test: Two straights');
    expect(rounds.map((round) => round.title)).toEqual([
      'Warm-up',
      'Two straights, own lead',
      'Two straights, other lead',
    ]);
    expect(rounds[1]!.blocks[0]).toMatchObject({ kind: 'burst', title: 'Two straights', seconds: 10 });
  });
  it('has the combo with the line of a test, or reactions', () => {
    expect(asked({ test: 'combo-time' }).rounds[1]!.blocks[0]).toMatchObject({
      combos: [{ comboId: 'ebb-2' }],
      leadPlan: 'halves',
    });
    expect(asked({ test: 'reaction' }).rounds[1]!.blocks[0]).toMatchObject({ kind: 'react' });
    // Nobody can time a combo that is not in the book.
    const gone = { ...ground, combos: combos.slice(0, 1) };
    expect(askedSession(askedIn(new URLSearchParams('test=combo-time')), gone).title).toBe(
      'Class of 5 March',
    );
  });
  it('has the combos in which a limb strikes most, or goes from the other lead', () => {
    expect(asked({ limb: 'left-leg' }).rounds[0]!.blocks[0]).toMatchObject({
      combos: [{ comboId: 'kicks' }, { comboId: 'kick' }],
    });
    expect(asked({ limb: 'tail' }).rounds[0]!.blocks[0]).toMatchObject({ combos: [{ comboId: 'ebb-1' }] });
    expect(asked({ from: 'other' }).rounds[0]!.blocks[0]).toMatchObject({ leadPlan: 'other' });
  });
  it('can be saved as it is', () => {
    for (const each of [
      {},
      { combo: 'ebb-2', bpm: 90 },
      { test: 'burst' },
      { test: 'reaction' },
      { limb: 'left-leg' },
      { from: 'other' },
    ])
      expect(checkFields(SaveSessionDto, asked(each))).toEqual([]);
  });
});
