import { classDays, virtualTrials } from '../../simulation/index.ts';
import { seededRandom } from '../../units/index.ts';
import { betweenDates, course, type CourseTrial } from './course.ts';
import { courseNotes, verdictSentence } from '../words/verdictWords.ts';

const GYM = { error: 1, degreesOfFreedom: 300 };
const TODAY = '2026-06-01';
const WISH = { better: 'higher', today: TODAY, errorOf: () => GYM } as const;

function trials(
  perFourWeeks: number,
  { last = TODAY, days = 12, measured = 'taps' as CourseTrial['measured'], level = 23 } = {},
): CourseTrial[] {
  const first = new Date(Date.parse(last) - (days - 1) * 7 * 86_400_000).toISOString().slice(0, 10);
  return virtualTrials(
    { level, perFourWeeks, error: 1 },
    classDays(first, days, 7),
    2,
    seededRandom(5),
  ).flatMap(({ day, values }) => values.map((value) => ({ day, value, measured })));
}

describe('course', () => {
  it('is nothing without a trial, and little with one', () => {
    expect(course([], WISH)).toBeNull();
    const one = course([{ day: TODAY, value: 20, measured: 'taps' }], WISH)!;
    expect(one).toMatchObject({ last: null, month: null, trend: null, typicalError: 1, learning: 0 });
  });

  it('tells a gain of the last month and a plateau apart', () => {
    expect(course(trials(3), WISH)!.month!.verdict).toBe('faster');
    expect(course(trials(3), WISH)!.trend!.way).toBe('better');
    expect(course(trials(0), WISH)!.month!.verdict).toBe('no real change');
  });

  it('never puts trials together that were counted in different ways', () => {
    const both = course([...trials(0), ...trials(0, { measured: 'microphone', days: 3, level: 40 })], WISH)!;
    expect(both).toMatchObject({ measured: 'taps', otherWays: [{ measured: 'microphone', trials: 6 }] });
    expect(both.month!.verdict).toBe('no real change');
    expect(courseNotes(both, String)).toEqual(['6 trials counted in another way (microphone) stand apart.']);
  });

  it('takes what was only reported from home where there is nothing else', () => {
    const home = trials(0, { measured: 'self-reported', days: 4 });
    expect(course([...home, { day: TODAY, value: 22, measured: 'partner' }], WISH)!.measured).toBe('partner');
    expect(course(home, WISH)!.measured).toBe('self-reported');
  });

  it('tells the learning of a test from a gain', () => {
    const learnt = trials(0).map((trial, i) => (i < 4 ? { ...trial, value: trial.value - 5 } : trial));
    const reported = course(learnt, WISH)!;
    expect(reported.learning).toBe(2);
    expect(reported.month!.verdict).toBe('no real change');
    expect(courseNotes(reported, String)[0]).toMatch(/first 2 days taught the test/);
  });

  it('leaves out slips and days that have not come, and tells both', () => {
    const odd = [...trials(0), { day: TODAY, value: 230, measured: 'taps' as const }];
    const reported = course([...odd, { day: '2027-01-01', value: 40, measured: 'taps' }], WISH)!;
    expect(reported.outliers).toEqual([{ day: TODAY, value: 230 }]);
    expect(reported.ahead).toBe(1);
    expect(courseNotes(reported, (value) => value.toFixed(0))).toEqual([
      '230 on 2026-06-01 cannot be so beside the others and is left out.',
      '1 trial dated after today counts for nothing yet.',
    ]);
  });

  it('tells of a long pause', () => {
    const reported = course([...trials(0, { last: '2025-05-01' }), ...trials(0, { days: 1 })], WISH)!;
    expect(reported.pause).toBeGreaterThan(390);
    expect(courseNotes(reported, String)[0]).toMatch(/^13 months lie between/);
  });

  it('compares any two dates', () => {
    const { days } = course(trials(3), WISH)!;
    expect(betweenDates(days, { better: 'higher', typicalError: GYM }, days[1]!.day, TODAY).verdict).toBe(
      'faster',
    );
    // Who began after the first date is held against the own beginning.
    expect(betweenDates(days, { better: 'higher', typicalError: GYM }, '2020-01-01', TODAY)).toMatchObject({
      verdict: 'faster',
      trials: { before: 8, after: 8 },
    });
    expect(
      betweenDates(days.slice(-1), { better: 'higher', typicalError: GYM }, '2020-01-01', TODAY).verdict,
    ).toBe('too little data');
  });

  it('says each verdict with its numbers', () => {
    const reported = (value: number): string => value.toFixed(1);
    expect(verdictSentence(course(trials(3), WISH)!.month!, reported)).toMatch(
      /^Clear change for the better: \d+\.\d over 8 trials, against/,
    );
    expect(verdictSentence(course(trials(0), WISH)!.month!, reported)).toMatch(
      /^No real change: .* only a difference above/,
    );
  });
});
