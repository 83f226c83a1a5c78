import { answerOf, type AnswerFacts } from '../index.ts';

const NOTHING: AnswerFacts = { courses: [], leads: [], check: null, tempos: [], memory: [] };
const answer = (facts: Partial<AnswerFacts>) => answerOf({ ...NOTHING, ...facts });

type Month = NonNullable<AnswerFacts['courses'][number]['month']>;
const course = (
  title: string,
  verdict: Month['verdict'],
  chance: number | null,
): AnswerFacts['courses'][0] => ({
  ...{ title, lead: 'left', sides: null },
  month: { verdict, chance, sentence: `What ${title} did.` },
});

describe('the first three sentences of a fighter', () => {
  it('say one change with its numbers, and name several', () => {
    const one = [course('Straights', 'faster', 0.001), course('Kicks', 'no real change', 0.4)];
    expect(answer({ courses: one }).changed).toBe('Straights, left lead. What Straights did.');
    expect(answer({ courses: [...one, course('Knees', 'slower', 0.002)] }).changed).toBe(
      'Clearly better than the weeks before: Straights, left lead. Clearly worse than the weeks before: Knees, left lead.',
    );
  });
  it('call one of many that stands out by its name, and no change', () => {
    const many = Array.from({ length: 9 }, (_, i) => course(`T${i}`, 'no real change', 0.5));
    expect(answer({ courses: [...many, course('Straights', 'faster', 0.04)] }).changed).toBe(
      'No sure change in 10 comparisons. Straights, left lead stands out, as one of so many may do by chance.',
    );
    expect(answer({ courses: many }).changed).toBe('No real change in the last four weeks (9 comparisons).');
    expect(answer({ courses: many.slice(0, 1) }).changed).toBe(
      'No real change in the last four weeks (1 comparison).',
    );
    expect(answer({ courses: [course('Straights', 'too little data', null)] }).changed).toMatch(
      /^It is too early/,
    );
  });
  it('name the lead that is behind most surely', () => {
    const leads = [
      { title: 'Straights', behind: null, chance: 0.2, sentence: 'No real difference.' },
      {
        title: 'Kicks',
        behind: 'right' as const,
        chance: 0.01,
        sentence: 'The right lead is behind by 24 %.',
      },
    ];
    expect(answer({ leads }).leads).toBe('Kicks. The right lead is behind by 24 %.');
    expect(answer({ leads: leads.slice(0, 1) }).leads).toBe(
      'No real difference between the leads in Straights.',
    );
    expect(answer({}).leads).toMatch(/^The leads are not compared yet/);
  });
  it('say what is missing, which combo may be faster and what is due, and leave the grade to a coach', () => {
    const lines = ['Ebb 2 clean', 'Burst of 20', 'Ten classes'].map((asked) => ({ asked, isMet: false }));
    const tempos = [
      { combo: 'Ebb 1', bpm: 72, last: 72 },
      { combo: 'Ebb 2', bpm: 80, last: 76 },
    ];
    const memory = [{ combo: 'Slack 1', isDue: true }];
    expect(answer({ check: { grade: 'Slack', lines }, tempos, memory }).next).toBe(
      'For Slack: Ebb 2 clean; Burst of 20; and 1 more. Ebb 2 may go up to 80 a minute. Ask again: Slack 1.',
    );
    const met = lines.map((line) => ({ ...line, isMet: true }));
    expect(answer({ check: { grade: 'Slack', lines: met } }).next).toMatch(/a coach looks and decides/);
    expect(answer({}).next).toBe('Nothing is asked for yet.');
  });
});
