import { starterBook } from '@eurhythm/core/moves';
import { draftSession } from '@eurhythm/core/plan';
import {
  RoundDto,
  STARTER_SCHOOL_SETTINGS,
  checkFields,
  type ComboView,
  type GymView,
  type LibraryItem,
} from '@eurhythm/contract';
import { newRound } from '../builder/newRound.ts';
import { roundsOf, wishFor, type Known, type Wanted } from './wishFor.ts';

const now = new Date(2026, 2, 10, 12);
const book = starterBook();
const gym: GymView = {
  name: 'Saltmarsh',
  noticeAcceptedAt: null,
  grades: [
    { id: 'ebb', name: 'Ebb', band: 'adults' },
    { id: 'drop', name: 'Drop', band: 'children' },
  ],
  school: { ...STARTER_SCHOOL_SETTINGS, floorSteps: 3, kit: ['pads'], words: 'names', pace: 'novice' },
  version: 1,
  gradesVersion: 1,
  listVersions: {},
};
const combo = (id: string, gradeId: string, number: number): ComboView => ({
  id,
  gradeId,
  grade: gradeId,
  number,
  title: id,
  line: '1 2 3',
  bpm: 70,
  beatsPerBar: 4,
  notes: '',
  bothLeads: true,
  focus: [],
  cycleBeats: null,
  contact: [],
  variant: null,
  updatedAt: now.toISOString(),
  version: 1,
});
const combos = [combo('e1', 'ebb', 1), combo('e2', 'ebb', 2), combo('d1', 'drop', 1)];
const kick = {
  id: 't',
  move: 'r:round',
  comboId: null,
  reps: 15,
  sides: 'both' as const,
  sets: 2,
  restSeconds: 20,
};
const item = (rounds: RoundDto[]): LibraryItem => ({
  id: 'l',
  title: 'L',
  rounds,
  own: true,
  about: '',
  version: 1,
});
const known: Known = { library: [], techniques: {}, trained: {}, memory: [], fighters: [] };
const wanted: Wanted = { minutes: 40, gradeIds: ['ebb'], focus: '', people: 12 };
const wish = (changes: Partial<Wanted> = {}, more: Partial<Known> = {}) =>
  wishFor({ ...wanted, ...changes }, { gym, combos, book }, { ...known, ...more }, now);

describe('what a draft may choose from', () => {
  it('are the combos of the grades that come, in their order, and what the gym has', () => {
    const { groups, floorSteps, kit, words, factor, people, focus } = wish({ gradeIds: ['drop', 'ebb'] });
    expect(groups.map(({ name, combos }) => [name, ...combos.map(({ id }) => id)])).toEqual([
      ['Drop', 'd1'],
      ['Ebb', 'e1', 'e2'],
    ]);
    expect({ floorSteps, kit, words, people, focus }).toEqual({
      floorSteps: 3,
      kit: ['pads'],
      words: 'names',
      people: 12,
      focus: null,
    });
    expect(factor).toBeGreaterThan(1);
  });
  it('knows how many days ago each combo was trained, by the calendar', () => {
    const trained = {
      e1: new Date(2026, 2, 9, 23, 50).toISOString(),
      e2: new Date(2026, 2, 12).toISOString(),
    };
    expect(wish({}, { trained }).groups[0]!.combos.map(({ daysAgo }) => daysAgo)).toEqual([1, 0]);
    expect(wish().groups[0]!.combos.map(({ daysAgo }) => daysAgo)).toEqual([null, null]);
  });
  it('knows with how many of those who may come a combo is due from memory', () => {
    const fighters = ['a', 'b', 'c'].map((id) => ({ id, gradeId: id === 'c' ? 'drop' : 'ebb', fit: true }));
    const memory = ['a', 'c'].map((fighterId) => ({ fighterId, comboId: 'e1', isDue: true }));
    expect(wish({}, { fighters, memory }).groups[0]!.combos.map(({ due }) => due)).toEqual([
      { with: 1, of: 2 },
      { with: 0, of: 2 },
    ]);
  });
  it('has what a grade trains, and leaves out what the book no longer knows', () => {
    const techniques = {
      ebb: [kick, { ...kick, id: 'u', move: 'gone' }, { ...kick, id: 'v', move: null, comboId: 'x' }],
    };
    expect(wish({}, { techniques }).groups[0]!.techniques).toMatchObject([
      { line: 'r:round', reps: 15, sets: 2 },
    ]);
  });
  it('takes single rounds of the library, with their combos filled in', () => {
    const one = newRound('pads', 'p', 'e1');
    const { library } = wish({}, { library: [item([one]), item([one, one])] });
    expect(library).toHaveLength(1);
    expect(library[0]!.blocks[0]).toMatchObject({ kind: 'combo', combos: [{ id: 'e1', line: '1 2 3' }] });
  });
  it('names a grade that is gone by its id, with nothing to train', () => {
    expect(wish({ gradeIds: ['lost'] }).groups).toEqual([{ name: 'lost', combos: [], techniques: [] }]);
  });
});

describe('what was drafted', () => {
  it('is kept as rounds that are right, combos of the book by their ids', () => {
    const rounds = roundsOf(
      draftSession(wish({ gradeIds: ['ebb', 'drop'] }, { techniques: { ebb: [kick] } }), book),
      combos,
    );
    for (const round of rounds) expect(checkFields(RoundDto, round)).toEqual([]);
    const refs = rounds.flatMap(({ blocks }) =>
      blocks.flatMap((block) => (block.kind === 'combo' ? block.combos : [])),
    );
    expect(refs.length).toBeGreaterThan(0);
    for (const { comboId } of refs) expect(combos.map(({ id }) => id)).toContain(comboId);
  });
});
