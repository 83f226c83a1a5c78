import { compareTrials, reportParts, tally, valueText, verdictSentence, type ReportFacts } from '../index.ts';

const NOTHING: ReportFacts = {
  ...{ trained: tally([]), combos: [], courses: [], grade: null, behind: [], up: [], due: [], goals: [] },
};
const report = (facts: Partial<ReportFacts>) => reportParts({ ...NOTHING, ...facts });
const of = (facts: Partial<ReportFacts>, title: string) =>
  report(facts).find((part) => part.title === title)?.sentences;

const days = (first: number, ...values: readonly (readonly number[])[]) =>
  values.map((each, i) => ({ day: `2026-03-0${first + i}`, values: each }));
const compared = (before: number, after: number) =>
  compareTrials({
    better: 'higher',
    before: days(1, [before, before + 1], [before, before - 1], [before, before + 1]),
    after: days(5, [after, after - 1], [after, after + 1], [after, after + 1]),
    typicalError: 1,
  });
const course = (month: ReturnType<typeof compared> | null, title = 'Straights') =>
  ({
    ...{ title, lead: 'left', kind: 'burst', unit: null, seconds: 10, sides: null, learning: 0, month },
  }) as ReportFacts['courses'][number];

describe('a report', () => {
  it('says what was trained by the one count', () => {
    const trained = tally([
      { runId: 'a', day: '2026-03-05', finished: 3, part: 1, satOut: 0 },
      { runId: 'b', day: '2026-03-09', finished: 0, part: 0, satOut: 4 },
    ]);
    expect(of({ trained, combos: [{ name: 'Ebb 1', rounds: 2 }] }, 'What was trained')).toEqual([
      '1 class, 3 of 8 rounds finished, 1 in part, 4 sat out.',
      'Combos most often: Ebb 1 (2 rounds).',
    ]);
    expect(of({}, 'What was trained')).toEqual(['No class in this time.']);
  });

  it('has no verdict of its own: a change stands in the words of the page, to the better or to the worse', () => {
    const [up, down, same] = [compared(20, 26), compared(26, 20), compared(22, 22)];
    const courses = [course(up), course(down, 'Kicks'), course(same, 'Knees'), course(null, 'Elbows')];
    expect(of({ courses }, 'What changed for sure')).toEqual([
      `Straights, left lead. ${verdictSentence(up, valueText('burst'), ' strikes in 10 s')}`,
      `Kicks, left lead. ${verdictSentence(down, valueText('burst'), ' strikes in 10 s')}`,
    ]);
    expect(of({ courses }, 'What stayed as it was')).toEqual(['No real change: Knees, left lead.']);
    expect(of({}, 'What changed for sure')![0]).toMatch(/^Nothing yet that stands out from chance/);
  });

  it('never makes a before and an after of single trials', () => {
    const month = compareTrials({ better: 'higher', before: days(1, [30]), after: days(5, [33]) });
    expect(month.verdict).toBe('too little data');
    expect(JSON.stringify(report({ courses: [course(month)] }))).not.toContain('33');
  });

  it('says what is missing for the grade, and leaves the decision to a coach', () => {
    const last = (missing: readonly string[]) =>
      of({ grade: { name: 'Slack', missing } }, 'What comes next')![0];
    expect(last(['Ebb 2 clean'])).toBe('For Slack: Ebb 2 clean.');
    expect(last([])).toMatch(/a coach looks and decides/);
  });
});
