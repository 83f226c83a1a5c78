import { ANYBODY, audienceOf, isAboveGrade } from './audience.ts';

describe('audienceOf', () => {
  const grades = [
    { id: 'minnows', name: 'Minnows', band: 'children' },
    { id: 'ebb', name: 'Ebb', band: 'adults' },
    { id: 'slack', name: 'Slack', band: 'adults' },
  ] as const;
  it('ranks adults among adults', () => {
    expect(audienceOf('slack', grades, [])).toEqual({
      grade: { name: 'Slack', order: ['ebb', 'slack'], rank: 1 },
      youth: null,
    });
    expect(audienceOf(undefined, grades, [])).toBe(ANYBODY);
  });
  it('keeps children to the strictest limits until the gym says otherwise', () => {
    expect(audienceOf('minnows', grades, []).youth).toMatchObject({
      band: 'Minnows',
      knees: false,
      spins: false,
    });
    const allowed = {
      gradeId: 'minnows',
      headContact: false,
      knees: true,
      elbows: false,
      spins: false,
      jumps: false,
    };
    expect(audienceOf('minnows', grades, [allowed]).youth).toMatchObject({ knees: true, spins: false });
  });
  it('holds back what a higher grade trains, and nothing that belongs to no grade', () => {
    const { grade } = audienceOf('ebb', grades, []);
    expect(isAboveGrade({ minGrade: 'slack' }, grade!)).toBe(true);
    expect(isAboveGrade({ minGrade: 'ebb' }, grade!)).toBe(false);
    expect(isAboveGrade({ minGrade: null }, grade!)).toBe(false);
    expect(isAboveGrade({ minGrade: 'a grade that is gone' }, grade!)).toBe(false);
  });
  it('does not regrade a move when grades are put in another order', () => {
    const turned = [...grades].reverse();
    expect(isAboveGrade({ minGrade: 'slack' }, audienceOf('slack', turned, []).grade!)).toBe(false);
    expect(isAboveGrade({ minGrade: 'slack' }, audienceOf('slack', grades, []).grade!)).toBe(false);
  });
});
