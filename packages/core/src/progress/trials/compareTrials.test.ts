import fc from 'fast-check';
import { classDays, virtualTrials } from '../../simulation/index.ts';
import { seededRandom } from '../../units/index.ts';
import { compareTrials, VERDICTS, type Compared } from './compareTrials.ts';
import type { DayTrials } from './dayTrials.ts';
import { valueText, verdictSentence } from '../words/verdictWords.ts';

const day = (values: readonly number[], i = 0): DayTrials => ({
  day: classDays('2026-03-05', i + 1, 7).at(-1)!,
  values,
});
const before = (...days: number[][]): DayTrials[] => days.map((values, i) => day(values, i));
const after = (...days: number[][]): DayTrials[] => days.map((values, i) => day(values, i + 20));

/** From the least to the most that is claimed. */
const sureness = ({ verdict }: Compared): number => (verdict === 'faster' || verdict === 'slower' ? 1 : 0);

describe('compareTrials', () => {
  it('asks 1.645 · √2 · typical error of a pair of single trials', () => {
    const { smallestDetectableChange, change } = compareTrials({
      better: 'higher',
      before: before([20]),
      after: after([22]),
      typicalError: 1,
    });
    expect(smallestDetectableChange).toBeCloseTo(1.645 * Math.SQRT2, 9);
    expect(change).toBe(2);
  });

  it('asks less where each side has more trials', () => {
    const { smallestDetectableChange, trials } = compareTrials({
      better: 'higher',
      before: before([20, 20], [20, 20]),
      after: after([22]),
      typicalError: 1,
    });
    expect(trials).toEqual({ before: 4, after: 1 });
    expect(smallestDetectableChange).toBeCloseTo(1.645 * Math.sqrt(1 / 4 + 1), 9);
  });

  it('takes the typical error from trials of the same day where none is reported', () => {
    const { typicalError, verdict } = compareTrials({
      better: 'higher',
      before: before([20, 22], [21, 23]),
      after: after([29, 31], [30, 28]),
    });
    expect(typicalError).toBeCloseTo(Math.SQRT2, 9);
    expect(verdict).toBe('faster');
  });

  it('has too little data with one trial, with an empty side, and without a day of two trials', () => {
    for (const [b, a] of [
      [before([20]), after([])],
      [before(), after([20])],
      [before(), after()],
      [before([20], [21]), after([25])],
    ] as const) {
      const { verdict, smallestDetectableChange } = compareTrials({ better: 'higher', before: b, after: a });
      expect({ verdict, smallestDetectableChange }).toEqual({
        verdict: 'too little data',
        smallestDetectableChange: null,
      });
    }
  });

  it('finds no change where all trials are equal', () => {
    const { verdict, change, typicalError } = compareTrials({
      better: 'lower',
      before: before([20, 20], [20, 20]),
      after: after([20, 20], [20, 20]),
    });
    expect({ verdict, change }).toEqual({ verdict: 'no real change', change: 0 });
    expect(typicalError).toBeGreaterThan(0);
  });

  it('is not sure of a change whose error rests on one pair of trials', () => {
    const { verdict, change, smallestDetectableChange } = compareTrials({
      better: 'higher',
      before: before([20, 21]),
      after: after([23]),
    });
    expect(change!).toBeGreaterThan(smallestDetectableChange!);
    expect(verdict).toBe('too little data');
  });

  it('leaves a slip of the hand out and tells it', () => {
    const { verdict, outliers } = compareTrials({
      better: 'higher',
      before: before([22, 23], [23, 22]),
      after: after([230, 23], [23, 22]),
    });
    expect(verdict).toBe('no real change');
    expect(outliers).toEqual([{ day: day([], 20).day, value: 230 }]);
  });

  it('does not take one lucky best for a change', () => {
    const lucky = { before: before([33, 34], [33, 33], [32, 33]), after: after([39, 34], [33, 34]) };
    const reported = compareTrials({ better: 'higher', ...lucky, typicalError: 1.2 });
    expect(reported.change!).toBeGreaterThan(reported.smallestDetectableChange!);
    expect(reported).toMatchObject({ verdict: 'no real change', isDrivenByOutlier: true });
    const real = { before: lucky.before, after: after([37, 36], [36, 37]) };
    expect(compareTrials({ better: 'higher', ...real, typicalError: 1.2 }).verdict).toBe('faster');
  });

  it('says nothing of a side of one day, and how many days more it takes', () => {
    const wish = { better: 'higher', typicalError: 0.5 } as const;
    const moreOf = (b: number[][], a: number[][]) => {
      const { verdict, moreDays } = compareTrials({ ...wish, before: before(...b), after: after(...a) });
      return [verdict, moreDays];
    };
    expect(moreOf([[20, 20]], [[30, 30]])).toEqual(['too little data', 2]);
    expect(moreOf([[20], [20]], [[30, 30]])).toEqual(['too little data', 1]);
    expect(moreOf([[20], [20]], [[30], [30]])).toEqual(['faster', 0]);
  });

  it('calls nothing a change that makes no difference, however sure it is', () => {
    const times = { better: 'lower', typicalError: 0.001, worthwhile: { share: 0.02 } } as const;
    const of = (value: number) => [[value, value], [value, value], [value, value]]; // prettier-ignore
    const reported = compareTrials({ ...times, before: before(...of(2.01)), after: after(...of(2)) });
    expect(reported).toMatchObject({ verdict: 'no real change', isTooSmall: true });
    expect(reported.worthwhile).toBeCloseTo(0.0402, 9);
    expect(verdictSentence(reported, valueText('combo-time'))).toBe(
      'No change that matters: 2.00 s over 6 trials, against 2.01 s over 6 trials; less than 0.040 s makes no difference in practice.',
    );
    expect(compareTrials({ ...times, before: before(...of(2.1)), after: after(...of(2)) }).verdict).toBe(
      'faster',
    );
  });

  it('asks for more where days differ more than trials of one day', () => {
    const days = [[20, 20.2], [23, 23.1], [19, 19.2], [24, 24.1]]; // prettier-ignore
    const reported = compareTrials({ better: 'higher', before: before(...days), after: after(...days) });
    expect(reported.daysDiffer).toBe(true);
    expect(reported.needed!).toBeGreaterThan(2);
  });

  const side = fc.array(fc.array(fc.double({ min: 15, max: 30, noNaN: true }), { maxLength: 4 }), {
    maxLength: 5,
  });

  it('does not mind the order of the trials of a day', () => {
    fc.assert(
      fc.property(side, side, (b, a) => {
        const straight = compareTrials({ better: 'higher', before: before(...b), after: after(...a) });
        const turned = compareTrials({
          better: 'higher',
          before: before(...b.map((values) => values.toReversed())),
          after: after(...a.map((values) => values.toReversed())),
        });
        expect(turned.verdict).toBe(straight.verdict);
        expect(turned.smallestDetectableChange ?? 0).toBeCloseTo(straight.smallestDetectableChange ?? 0, 9);
      }),
    );
  });

  it('mirrors with the better end', () => {
    const mirrored = { faster: 'slower', slower: 'faster' } as const;
    fc.assert(
      fc.property(side, side, (b, a) => {
        const sides = { before: before(...b), after: after(...a) };
        const { verdict } = compareTrials({ better: 'higher', ...sides });
        const other = verdict === 'faster' || verdict === 'slower' ? mirrored[verdict] : verdict;
        expect(compareTrials({ better: 'lower', ...sides }).verdict).toBe(other);
        expect(VERDICTS).toContain(verdict);
      }),
    );
  });

  it('is never surer with more noise around the same means', () => {
    fc.assert(
      fc.property(side, side, fc.double({ min: 1, max: 3, noNaN: true }), (b, a, more) => {
        const noisier = (days: readonly number[][]): number[][] =>
          days.map((values) => {
            const middle = values.reduce((sum, value) => sum + value, 0) / Math.max(1, values.length);
            return values.map((value) => middle + more * (value - middle));
          });
        const calm = compareTrials({ better: 'higher', before: before(...b), after: after(...a) });
        const noisy = compareTrials({
          better: 'higher',
          before: before(...noisier(b)),
          after: after(...noisier(a)),
        });
        if (calm.outliers.length === 0 && noisy.outliers.length === 0 && !calm.daysDiffer)
          expect(sureness(noisy)).toBeLessThanOrEqual(sureness(calm));
      }),
    );
  });

  it.each([
    ['whose days are alike', 0],
    ['whose days differ as much as their trials', 1.2],
  ])('is right about fighters whose change is known, %s', (_, dayError) => {
    const random = seededRandom(11);
    const [early, late] = [classDays('2026-01-05', 5, 7), classDays('2026-03-02', 5, 7)];
    const reported = { right: 0, falselyFaster: 0 };
    const fighters = 1200;
    for (let i = 0; i < fighters; i++) {
      const gain = [0, 5, 0, -5][i % 4]!;
      const of = (level: number, days: readonly string[]): DayTrials[] =>
        virtualTrials({ level, perFourWeeks: 0, error: 1.2, dayError, isCount: true }, days, 3, random);
      const { verdict } = compareTrials({
        better: 'higher',
        before: of(23, early),
        after: of(23 + gain, late),
      });
      const truth = gain > 0 ? 'faster' : gain < 0 ? 'slower' : 'no real change';
      reported.right += verdict === truth ? 1 : 0;
      reported.falselyFaster += verdict === 'faster' && gain === 0 ? 1 : 0;
    }
    expect(reported.right / fighters).toBeGreaterThan(0.9);
    expect(reported.falselyFaster / (fighters / 2)).toBeLessThan(0.05);
  });
});
