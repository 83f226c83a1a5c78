import { howMany } from '../../units/index.ts';
import type { Compared, Verdict } from '../trials/compareTrials.ts';
import type { Course } from '../trials/course.ts';
import type { TestSides, TrialKind } from '../../speed/index.ts';
import type { Evenness } from '../evenness.ts';
import type { Trend } from '../trials/trend.ts';

/** How a value of a test is written: "23", "1.42 s". */
export type ValueText = (value: number) => string;

/**
 * How values of tests of a kind are written: how many, seconds, or in the unit of the test.
 *
 * @example
 * valueText('burst')(23.04) // '23'
 * valueText('combo-time')(1.4) // '1.40 s'
 * valueText('measure', 'cm')(142) // '142 cm'
 */
export function valueText(kind: TrialKind, unit: string | null = null): ValueText {
  if (kind === 'measure') return (value) => `${Math.round(10 * value) / 10} ${unit ?? ''}`.trimEnd();
  return (value) =>
    kind === 'burst' ? String(Math.round(10 * value) / 10) : `${value.toFixed(value < 0.1 ? 3 : 2)} s`;
}

const trialsText = (count: number): string => `${howMany(count, 'trial')}`;

/**
 * What a number counts where it does not say so itself.
 *
 * @param seconds of a burst
 *
 * @example
 * countedUnit({ kind: 'burst', seconds: 10 }) // ' strikes in 10 s'
 */
export const countedUnit = ({
  kind,
  seconds,
}: {
  readonly kind: TrialKind;
  readonly seconds: number;
}): string => (kind === 'burst' ? ` strikes in ${seconds} s` : '');

/**
 * A verdict in one sentence, with the numbers that it rests on.
 *
 * @param unit what the first of them counts: see {@link countedUnit}
 *
 * @example
 * verdictSentence(compareTrials({ better: 'higher', before: [], after: [] }), String) // 'Too little data: one side has no trial.'
 */
export function verdictSentence(compared: Compared, textOf: ValueText, unit = ''): string {
  const { verdict, change, needed, means, trials, daysDiffer, moreDays, worthwhile } = compared;
  if (change === null) return 'Too little data: one side has no trial.';
  const sides = `${textOf(means.after!)}${unit} over ${trialsText(trials.after)}, against ${textOf(means.before!)} over ${trialsText(trials.before)}`;
  if (compared.smallestDetectableChange === null)
    return `Too little data: ${sides}. Two trials on one day would show how much they differ by themselves.`;
  if (moreDays > 0 || needed === null)
    return `Too early: ${sides}. It takes two days of trials on each side: ${moreDays < 2 ? 'one day' : `${moreDays} days`} more.`;
  const by = textOf(needed);
  const days = daysDiffer
    ? ' The days differ more than the trials of one day, which makes it harder to be sure.'
    : '';
  switch (verdict) {
    case 'no real change':
      if (compared.isDrivenByOutlier) return `No real change: ${sides}; a single trial makes the difference.`;
      if (compared.isTooSmall)
        return `No change that matters: ${sides}; less than ${textOf(worthwhile)} makes no difference in practice.`;
      return `No real change: ${sides}; only a difference above ${by} would be real.${days}`;
    case 'too little data':
      return `Too little data: ${sides}; with so few days only a difference above ${by} would be real.${days}`;
    case 'faster':
      return `Clear change for the better: ${sides}; differences above ${by} are unlikely to be chance.`;
    case 'slower':
      return `Clear change for the worse: ${sides}; differences above ${by} are unlikely to be chance.`;
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
 * trendSentence(null, String) // 'No trend yet: it takes five days.'
 */
export function trendSentence(found: Trend | null, textOf: ValueText): string {
  if (!found) return 'No trend yet: it takes five days.';
  const { perFourWeeks, from, to, days, way } = found;
  const signed = (value: number): string => `${value < 0 ? '−' : '+'}${textOf(Math.abs(value))}`;
  const range = `${signed(from)} to ${signed(to)} in 19 of 20 cases, ${days} days`;
  const words = {
    better: 'Trend to the better',
    worse: 'Trend to the worse',
    unclear: 'No clear trend',
  } as const;
  return `${words[way]}: ${signed(perFourWeeks)} in four weeks (${range}).`;
}

const WAYS = { better: 'to the better', worse: 'to the worse' } as const;

/**
 * Why the last month and the trend of the year say different things; empty where they do not.
 *
 * @example
 * whyApart('faster', 'better') // ''
 * whyApart('no real change', 'better') // 'Over the year the trend is to the better; one month is too short to show so slow a change.'
 */
export function whyApart(month: Verdict | null, trend: Trend['way'] | null): string {
  if (month === null || trend === null || month === 'too little data') return '';
  const found = { faster: 'better', slower: 'worse', 'no real change': 'unclear' } as const;
  if (found[month] === trend) return '';
  if (trend === 'unclear')
    return 'The last month stands out from the weeks before it; over the year nothing is clear yet.';
  const why =
    month === 'no real change'
      ? 'one month is too short to show so slow a change'
      : 'the last month goes the other way';
  return `Over the year the trend is ${WAYS[trend]}; ${why}.`;
}

/**
 * How even two leads are in one sentence, and what to do about it.
 *
 * @example
 * evennessSentence({ percent: 2, from: -3, to: 7, behind: null, trials: { left: 4, right: 4 } }) // 'No real difference: 2 % (0 to 7 % in 19 of 20 cases, 4 and 4 trials).'
 */
export function evennessSentence(
  { percent, from, to, behind, trials }: Omit<Evenness, 'chance'>,
  sides: TestSides | null = 'lead',
): string {
  const by = `${Math.abs(percent).toFixed(0)} %`;
  const ends = [Math.abs(from), Math.abs(to)].sort((a, b) => a - b).map((end) => end.toFixed(0));
  const range = `${behind ? ends[0]! : '0'} to ${ends[1]!} % in 19 of 20 cases, ${trials.left} and ${trialsText(trials.right)}`;
  if (!behind) return `No real difference: ${by} (${range}).`;
  const [what, more] = sides === 'side' ? ['side', 'set'] : ['lead', 'round'];
  return `The ${behind} ${what} is behind by ${by} (${range}): begin and end with it, and give it one ${more} more.`;
}
