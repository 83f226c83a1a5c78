import { howMany } from '../../units/index.ts';
import { ofSide, type TestSides, type TrialKind } from '../../speed/index.ts';
import type { Compared } from '../trials/compareTrials.ts';
import type { Course } from '../trials/course.ts';
import { standTogether } from '../trials/manyComparisons.ts';
import { tallyText, type Tally } from '../tally.ts';
import { countedUnit, valueText, verdictSentence } from './verdictWords.ts';

/** A test from one lead, as far as a report tells of it. */
export interface ReportedCourse extends Pick<Course, 'learning'> {
  readonly title: string;
  readonly lead: 'left' | 'right';
  readonly kind: TrialKind;
  readonly unit: string | null;
  /** Of a burst. */
  readonly seconds: number;
  readonly sides: TestSides | null;
  /** The last four weeks against the eight before them, as everywhere. */
  readonly month: Compared | null;
}

/** What a report is made of. */
export interface ReportFacts {
  /** Of the time that is reported about. */
  readonly trained: Tally;
  /** Combos that were trained in it by the rounds with them, those with most first. */
  readonly combos: readonly { readonly name: string; readonly rounds: number }[];
  readonly courses: readonly ReportedCourse[];
  /** The grade that comes next, and what it asks for that is not there yet. */
  readonly grade: { readonly name: string; readonly missing: readonly string[] } | null;
  /** The lead that is behind in some test, as the page says it. */
  readonly behind: readonly string[];
  /** Combos whose next tempo, in beats a minute, is higher. */
  readonly up: readonly { readonly combo: string; readonly bpm: number }[];
  /** Combos that are due to be asked. */
  readonly due: readonly string[];
  readonly goals: readonly string[];
}

export interface ReportPart {
  readonly title: string;
  readonly sentences: readonly string[];
}

/** So many of a kind stand on one page. */
const MOST = 5;
const MOST_UP = 2;
const MOST_DUE = 3;

/**
 * A report about one person in plain words: what was trained, what changed for sure, what stayed, and what comes next.
 *
 * @example
 * reportParts(noReportFacts)[0]?.sentences // ['No class in this time.']
 */
export function reportParts(facts: ReportFacts): ReportPart[] {
  const parts = [
    { title: 'What was trained', sentences: trained(facts) },
    { title: 'What changed for sure', sentences: changed(facts) },
    { title: 'What stayed as it was', sentences: stayed(facts) },
    { title: 'What comes next', sentences: next(facts) },
  ];
  return parts.filter(({ sentences }) => sentences.length > 0);
}

function trained({ trained, combos }: ReportFacts): string[] {
  const most = combos.slice(0, MOST).map(({ name, rounds }) => `${name} (${howMany(rounds, 'round')})`);
  return [tallyText(trained), ...(most.length === 0 ? [] : [`Combos most often: ${most.join(', ')}.`])];
}

/** The page's own words: a report has no verdict of its own. */
function ofVerdicts(courses: ReportFacts['courses'], verdicts: readonly Compared['verdict'][]): string[] {
  return courses.flatMap(({ title, lead, kind, unit, seconds, sides, month, learning }) => {
    if (!month || !verdicts.includes(month.verdict)) return [];
    const learnt = learning > 0 ? ' The first days, on which the test itself was new, do not count.' : '';
    return [
      `${ofSide(title, lead, sides)}. ${verdictSentence(month, valueText(kind, unit), countedUnit({ kind, seconds }))}${learnt}`,
    ];
  });
}

function changed({ courses }: ReportFacts): string[] {
  // What is listed together has to stand together.
  const stand = standTogether(courses, ({ month }) => month?.chance ?? null);
  const found = ofVerdicts(
    courses.filter((each) => stand.has(each)),
    ['faster', 'slower'],
  );
  return found.length === 0
    ? ['Nothing yet that stands out from chance. That is usual in a short time, and no fault.']
    : found.slice(0, MOST);
}

/** By name alone: numbers that say nothing are none for a page that is read at home. */
function stayed({ courses }: ReportFacts): string[] {
  const same = courses.filter(({ month }) => month?.verdict === 'no real change');
  if (same.length === 0) return [];
  return [`No real change: ${same.map(({ title, lead, sides }) => ofSide(title, lead, sides)).join('; ')}.`];
}

function next({ grade, behind, up, due, goals }: ReportFacts): string[] {
  return [
    ...(grade === null
      ? []
      : grade.missing.length === 0
        ? [`Everything for ${grade.name} is there; a coach looks and decides.`]
        : [`For ${grade.name}: ${grade.missing.join('; ')}.`]),
    ...behind.slice(0, 1),
    ...up.slice(0, MOST_UP).map(({ combo, bpm }) => `${combo} may go up to ${bpm} a minute.`),
    ...(due.length === 0 ? [] : [`To be looked at again: ${due.slice(0, MOST_DUE).join(', ')}.`]),
    ...goals,
  ];
}
