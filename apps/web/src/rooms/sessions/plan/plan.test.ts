import type { AnyBlockDto, RoundDto } from '@eurhythm/contract';
import { laneOf, newBlock } from '../kinds/kinds.ts';
import { daysOf, weeksAfter } from '../calendar/dates.ts';
import { groupNames, lanesOf } from './lanes.ts';

const name = (id: string | undefined): string => `combo ${id}`;
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

describe('dates', () => {
  it('repeat on the wall clock, also where the clock is changed in between', () => {
    const first = new Date(2026, 9, 14, 18, 30);
    const all = weeksAfter(first.toISOString(), 4).map((date) => new Date(date));
    expect(all.map((date) => [date.getHours(), date.getMinutes(), date.getDay()])).toEqual(
      Array(4).fill([18, 30, first.getDay()]),
    );
    expect(all.map((date) => date.getDate())).toEqual([21, 28, 4, 11]);
  });
  it('give a theme its week from Monday, or its month', () => {
    const [month, now] = [new Date(2026, 10, 1), new Date(2026, 10, 25)];
    expect(daysOf('week', month, now)).toEqual({ from: '2026-11-23', until: '2026-11-29' });
    expect(daysOf('month', month, now)).toEqual({ from: '2026-11-01', until: '2026-11-30' });
    expect(daysOf('week', new Date(2026, 11, 1), now)).toEqual({ from: '2026-11-30', until: '2026-12-06' });
  });
});
