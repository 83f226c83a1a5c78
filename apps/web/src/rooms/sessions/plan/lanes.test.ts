import type { NameOf } from '@eurhythm/core/rounds';
import type { AnyBlockDto, RoundDto } from '@eurhythm/contract';
import { laneOf, newBlock } from '../kinds/kinds.ts';
import { groupNames, lanesOf } from './lanes.ts';

const name: NameOf = ({ comboId }) => `combo ${comboId}`;
const count = {
  ...newBlock('count', 'c', null),
  reps: 20,
  groups: [{ group: 'Minnows', reps: 15 }],
} as AnyBlockDto;
const pads = {
  ...newBlock('combo', 'p', 'ebb-1'),
  lanes: [{ group: 'Herons', combos: [{ comboId: 'h1' }] }],
} as AnyBlockDto;
const session = {
  groups: [{ name: 'Adults', gradeIds: [] }],
  rounds: [{ id: 'r', title: 'R', kind: 'pads', blocks: [count, pads] }] as RoundDto[],
};

describe('lanes', () => {
  it('name the groups of the class first, then those that blocks name', () => {
    expect(groupNames(session)).toEqual(['Adults', 'Minnows', 'Herons']);
    expect(lanesOf(session, name)).toEqual(['Minnows', 'Herons']);
  });
  it('tell own counts with the bonus, own combos, and who rests', () => {
    expect(laneOf(count, 'Minnows', name)).toEqual({ text: '15 of 20', short: '15', share: 0.75 });
    expect(laneOf(pads, 'Herons', name)).toEqual({ text: 'combo h1', short: 'combo h1', share: 1 });
    expect(laneOf({ ...pads, who: ['Adults'] }, 'Herons', name)).toEqual({
      text: 'rests',
      short: 'rests',
      share: 1,
    });
    expect(laneOf(pads, 'Adults', name)).toBeNull();
  });
});
