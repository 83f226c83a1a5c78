import { starterBook } from '@eurhythm/core/moves';
import type { ComboView } from '@eurhythm/contract';
import { NO_FILTER, comboFilter, type ComboFilter } from './comboFilter.ts';

const book = starterBook();
const combo = (line: string, extra: Partial<ComboView> = {}): ComboView => ({
  id: line,
  gradeId: 'ebb',
  grade: 'Ebb',
  number: 4,
  title: 'Door',
  line,
  bpm: 80,
  beatsPerBar: 4,
  notes: '',
  bothLeads: true,
  focus: ['rear heel'],
  cycleBeats: null,
  contact: [],
  variant: null,
  updatedAt: '',
  version: 1,
  ...extra,
});
const combos = [
  combo('1 2'),
  combo('1 2> r:knee', { gradeId: 'flood', grade: 'Flood', bothLeads: false, notes: 'Eyes up' }),
  combo('1 (', { variant: { parentId: '1 2', kind: 'even', step: null }, focus: [] }),
];
const left = (filter: Partial<ComboFilter>): string[] =>
  combos.filter(comboFilter({ ...NO_FILTER, ...filter }, book)).map((each) => each.id);

describe('comboFilter', () => {
  it.each([
    [{}, ['1 2', '1 2> r:knee', '1 (']],
    [{ search: ' EYES ' }, ['1 2> r:knee']],
    [{ search: 'heel' }, ['1 2', '1 2> r:knee']],
    [{ search: 'flood 4' }, ['1 2> r:knee']],
    [{ gradeId: 'ebb' }, ['1 2', '1 (']],
    [{ family: 'knee' }, ['1 2> r:knee']],
    [{ family: 'punch' }, ['1 2', '1 2> r:knee']],
    [{ kind: 'both-leads' }, ['1 2', '1 (']],
    [{ kind: 'changes-lead' }, ['1 2> r:knee']],
    [{ kind: 'form' }, ['1 (']],
  ] as const)('%j leaves %j', (filter, expected) => expect(left(filter)).toEqual(expected));
});
