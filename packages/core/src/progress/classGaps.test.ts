import { classGaps, type CheckOfOne } from './classGaps.ts';

const of = (name: string, met: readonly boolean[], gradeId = 'slack'): CheckOfOne => ({
  name,
  gradeId,
  grade: gradeId,
  lines: met.map((isMet, i) => ({
    requirement: { id: `r${i}`, kind: 'shown', text: `Thing ${i}` },
    asked: `Thing ${i}`,
    isMet,
  })),
});

describe('classGaps', () => {
  it('tells who lacks what, what most lack first, and who has all', () => {
    const [gaps] = classGaps([
      of('Ines', [true, true, true]),
      of('Joost', [true, false, false]),
      of('Mbali', [true, true, false]),
    ]);
    expect(gaps).toMatchObject({ gradeId: 'slack', people: 3, ready: ['Ines'] });
    expect(gaps!.lines.map(({ asked, lacking }) => [asked, lacking])).toEqual([
      ['Thing 2', ['Joost', 'Mbali']],
      ['Thing 1', ['Joost']],
    ]);
  });
  it('keeps grades apart', () => {
    expect(classGaps([of('A', [false]), of('B', [false], 'flood')]).map(({ people }) => people)).toEqual([
      1, 1,
    ]);
  });
});
