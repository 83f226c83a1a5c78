import { numberOfEachGrade, numbersOfGroups } from './gradeNumbers.ts';

const combo = (gradeId: string, number: number) => ({
  id: `${gradeId}-${number}`,
  grade: gradeId,
  gradeId,
  number,
  title: '',
  line: '1',
  beatsPerBar: 4,
});
const combos = [combo('ebb', 1), combo('ebb', 3), combo('flood', 3), combo('spring', 7), combo('slack', 9)];
const groups = [
  { name: 'New', gradeIds: ['ebb'] },
  { name: 'Old', gradeIds: ['spring', 'flood'] },
];

describe('each grade’s own number', () => {
  it('fills the groups that have it, each with its own', () => {
    expect(numberOfEachGrade(groups, combos, 3).map(({ group, combo: { id } }) => [group, id])).toEqual([
      ['New', 'ebb-3'],
      ['Old', 'flood-3'],
    ]);
    expect(numberOfEachGrade(groups, combos, 7).map(({ group }) => group)).toEqual(['Old']);
    expect(numberOfEachGrade(groups, combos, 9)).toEqual([]);
  });
  it('is offered where somebody has it', () => expect(numbersOfGroups(groups, combos)).toEqual([1, 3, 7]));
});
