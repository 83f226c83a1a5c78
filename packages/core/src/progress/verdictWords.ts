import type { Compared } from './compareTrials.ts';
import type { Course } from './course.ts';
import type { TrialKind } from '../speed/index.ts';
import type { Evenness } from './evenness.ts';
import type { Trend } from './trend.ts';

/** How a value of a test is written: "23", "1.42 s". */
export type ValueText = (value: number) => string;

/**
 * How values of tests of a kind are written: how many, or seconds.
 *
 * @example
 * valueText('burst')(23.04) // '23'
 * valueText('combo-time')(1.4) // '1.40 s'
 */
export function valueText(kind: TrialKind): ValueText {
  return (value) =>
    kind === 'burst' ? String(Math.round(10 * value) / 10) : `${value.toFixed(value < 0.1 ? 3 : 2)} s`;
}

const trialsText = (count: number): string => `${count} ${count === 1 ? 'trial' : 'trials'}`;

/**
 * A verdict in one sentence, with the numbers that it rests on.
 *
 * @example
 * verdictSentence(compareTrials({ better: 'higher', before: [], after: [] }), String) // 'Too little data: one side has no trial.'
 */
export function verdictSentence(
  { verdict, change, smallestDetectableChange, means, trials, daysDiffer, isDrivenByOutlier }: Compared,
  textOf: ValueText,
): string {
  if (change === null) return 'Too little data: one side has no trial.';
  const sides = `${textOf(means.after!)} in ${trialsText(trials.after)} against ${textOf(means.before!)} in ${trialsText(trials.before)}`;
  if (smallestDetectableChange === null)
    return `Too little data: ${sides}. Two trials on one day would show how much they differ by themselves.`;
  const days = daysDiffer
    ? ' The days differ more than the trials of one day, which makes it harder to be sure.'
    : '';
  switch (verdict) {
    case 'no real change':
      if (isDrivenByOutlier) return `No real change: ${sides}; a single trial makes the difference.`;
      return `No real change: ${sides}; only a difference above ${textOf(smallestDetectableChange)} would be real.${days}`;
    case 'too little data':
      return `Too little data: ${sides}; that is more than ${textOf(smallestDetectableChange)}, but too few trials were repeated on one day to be sure.${days}`;
    case 'faster':
      return `Clear change for the better: ${sides}; differences above ${textOf(smallestDetectableChange)} are unlikely to be chance.`;
    case 'slower':
      return `Clear change for the worse: ${sides}; differences above ${textOf(smallestDetectableChange)} are unlikely to be chance.`;
    default:
      return verdict satisfies never;
  }
}

/**
 * What else is to be known of a course, a sentence each: other ways of counting, learning, slips, a long pause.
 *
 * @example
 * courseNotes({ learning: 2, isBetweenDays: false, otherWays: [], outliers: [], ahead: 0, pause: 7 }, String).length // 1
 */
export function courseNotes(
  {
    learning,
    isBetweenDays,
    otherWays,
    outliers,
    ahead,
    pause,
  }: Pick<Course, 'learning' | 'isBetweenDays' | 'otherWays' | 'outliers' | 'ahead' | 'pause'>,
  textOf: ValueText,
): string[] {
  return [
    ...(learning > 0
      ? [`The first ${learning} days taught the test itself; they count for no comparison.`]
      : []),
    ...(isBetweenDays
      ? ['Nobody did this twice on one day, so how much trials differ is taken from one day to the next.']
      : []),
    ...otherWays.map(
      ({ measured, trials }) =>
        `${trialsText(trials)} counted in another way (${measured}) ${trials === 1 ? 'stands' : 'stand'} apart.`,
    ),
    ...outliers.map(
      ({ value, day }) => `${textOf(value)} on ${day} cannot be so beside the others and is left out.`,
    ),
    ...(ahead > 0
      ? [`${trialsText(ahead)} dated after today ${ahead === 1 ? 'counts' : 'count'} for nothing yet.`]
      : []),
    ...(pause !== null && pause > 120
      ? [`${Math.round(pause / 30)} months lie between the last day and the one before it.`]
      : []),
  ];
}

/**
 * A trend in one sentence.
 *
 * @example
 * trendSentence(null, String) // 'No trend yet: it takes four days.'
 */
export function trendSentence(found: Trend | null, textOf: ValueText): string {
  if (!found) return 'No trend yet: it takes four days.';
  const { perFourWeeks, from, to, days, way } = found;
  const signed = (value: number): string => `${value < 0 ? '−' : '+'}${textOf(Math.abs(value))}`;
  const range = `${signed(from)} to ${signed(to)} in nine of ten cases, ${days} days`;
  const words = {
    better: 'Trend to the better',
    worse: 'Trend to the worse',
    unclear: 'No clear trend',
  } as const;
  return `${words[way]}: ${signed(perFourWeeks)} in four weeks (${range}).`;
}

/**
 * How even two leads are in one sentence, and what to do about it.
 *
 * @example
 * evennessSentence({ percent: 2, from: -3, to: 7, behind: null, trials: { left: 4, right: 4 } }) // 'No real difference: 2 % (0 to 7 % in nine of ten cases, 4 and 4 trials).'
 */
export function evennessSentence({ percent, from, to, behind, trials }: Evenness): string {
  const by = `${Math.abs(percent).toFixed(0)} %`;
  const ends = [Math.abs(from), Math.abs(to)].sort((a, b) => a - b).map((end) => end.toFixed(0));
  const range = `${behind ? ends[0]! : '0'} to ${ends[1]!} % in nine of ten cases, ${trials.left} and ${trials.right} trials`;
  return behind
    ? `The ${behind} lead is behind by ${by} (${range}): begin and end with it, and give it one round more.`
    : `No real difference: ${by} (${range}).`;
}
