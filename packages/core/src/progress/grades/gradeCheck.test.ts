import { gradeCheck, type GradeFacts, type GradeWords, type Requirement } from './gradeCheck.ts';

const TODAY = '2026-06-01';
const WORDS: GradeWords = {
  combo: () => 'Flood 1',
  test: () => 'Straights',
  value: (_, value) => String(value),
};
const NOTHING: GradeFacts = { clean: [], trials: [], rounds: [], sessions: [], shown: [], gradedOn: null };
const line = (requirement: Requirement, facts: Partial<GradeFacts>) =>
  gradeCheck([requirement], { ...NOTHING, ...facts }, WORDS, TODAY)[0]!;

describe('gradeCheck', () => {
  const combo = { id: 'c', kind: 'combo', comboId: 'f1', bothLeads: true, bpm: 80, times: 1 } as const;
  const clean = (lead: 'left' | 'right', bpm: number, day = '2026-05-01') => ({
    comboId: 'f1',
    lead,
    bpm,
    day,
  });

  it('wants a combo clean from each lead at its tempo', () => {
    expect(line(combo, {}).missing).toBe(
      'Still to be seen: once from the left lead, once from the right lead.',
    );
    const half = line(combo, { clean: [clean('left', 84), clean('right', 76)] });
    expect(half).toMatchObject({ isMet: false, missing: 'Still to be seen: once from the right lead.' });
    expect(half.evidence).toEqual([{ text: 'clean, left lead, 84 a minute', day: '2026-05-01' }]);
    expect(line(combo, { clean: [clean('left', 84), clean('right', 80)] }).isMet).toBe(true);
  });

  it('wants a value of a test by its better end, and tells the best so far', () => {
    const test = { id: 't', kind: 'test', testId: 's', value: 24, bothLeads: false, times: 2 } as const;
    const trial = (value: number) => ({
      testId: 's',
      lead: 'left' as const,
      value,
      better: 'higher' as const,
      day: TODAY,
    });
    expect(line(test, { trials: [trial(24), trial(22)] })).toMatchObject({
      isMet: false,
      missing: 'Still to be seen: once more. The best so far is 24.',
    });
    expect(line(test, { trials: [trial(24), trial(25)] }).isMet).toBe(true);
    const faster = { ...trial(1.2), better: 'lower' as const };
    expect(line({ ...test, value: 1.3, times: 1 }, { trials: [faster] }).isMet).toBe(true);
    expect(
      line({ ...test, value: 1.1, times: 1 }, { trials: [faster, { ...faster, value: 1.4 }] }).missing,
    ).toMatch(/1\.2\.$/);
  });

  it('counts rounds and classes of the last weeks only', () => {
    const classes = { id: 'k', kind: 'sessions', count: 2, weeks: 4 } as const;
    expect(line(classes, { sessions: ['2026-01-01', '2026-05-20'] })).toMatchObject({
      isMet: false,
      missing: '1 more class.',
    });
    expect(line(classes, { sessions: ['2026-05-20', '2026-05-22'] }).isMet).toBe(true);
    expect(line(classes, { sessions: ['2026-07-01', '2026-05-22'] }).isMet).toBe(false);
    expect(line({ ...classes, kind: 'rounds', count: 3 }, {}).missing).toBe('3 more rounds.');
  });

  it('takes from the coach what was shown, and nothing else', () => {
    const bow = { id: 'b', kind: 'shown', text: 'Greets the hall' } as const;
    expect(line(bow, {})).toMatchObject({ asked: 'Greets the hall', isMet: false });
    const seen = line(bow, { shown: [{ requirementId: 'b', day: TODAY, by: 'Ines' }] });
    expect(seen).toMatchObject({ isMet: true, evidence: [{ text: 'seen by Ines', day: TODAY }] });
    expect(line(bow, { shown: [{ requirementId: 'x', day: TODAY, by: '' }] }).isMet).toBe(false);
  });

  it('waits since the last grade', () => {
    const time = { id: 'w', kind: 'time', weeks: 12 } as const;
    expect(line(time, {}).missing).toBe('Nobody wrote down when the last grade was.');
    expect(line(time, { gradedOn: '2026-05-01' }).missing).toBe('8 weeks more.');
    expect(line(time, { gradedOn: '2026-03-01' }).isMet).toBe(true);
  });
});
