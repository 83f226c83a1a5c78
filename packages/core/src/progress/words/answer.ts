import { howMany } from '../../units/index.ts';
import { ofSide, type TestSides } from '../../speed/index.ts';
import type { Compared } from '../trials/compareTrials.ts';
import { standTogether } from '../trials/manyComparisons.ts';

/** A test from one lead with what its last month was worth, as far as an answer tells of it. */
export interface AnsweredCourse {
  readonly title: string;
  readonly lead: 'left' | 'right';
  readonly sides: TestSides | null;
  readonly month: (Pick<Compared, 'verdict' | 'chance'> & { readonly sentence: string }) | null;
}

/** What a fighter's page is asked first. */
export interface AnswerFacts {
  readonly courses: readonly AnsweredCourse[];
  /** How even the leads are in each test, in the words of the page. */
  readonly leads: readonly {
    readonly title: string;
    readonly behind: 'left' | 'right' | null;
    readonly chance: number;
    readonly sentence: string;
  }[];
  /** The grade that comes next, with what is asked and whether it is there. */
  readonly check: {
    readonly grade: string;
    readonly lines: readonly { readonly asked: string; readonly isMet: boolean }[];
  } | null;
  /** The next tempo of each combo, in beats a minute. */
  readonly tempos: readonly { readonly combo: string; readonly bpm: number; readonly last: number | null }[];
  readonly memory: readonly { readonly combo: string; readonly isDue: boolean }[];
}

/** The three things that a coach asks about a fighter, a sentence or two each. */
export interface Answer {
  readonly changed: string;
  readonly leads: string;
  readonly next: string;
}

/**
 * What changed, which lead is behind and what comes next.
 *
 * @example
 * answerOf({ courses: [], leads: [], check: null, tempos: [], memory: [] }).changed // 'Nothing is measured yet.'
 */
export function answerOf(facts: AnswerFacts): Answer {
  return { changed: changedText(facts.courses), leads: leadsText(facts.leads), next: nextText(facts) };
}

const nameOf = ({ title, lead, sides }: AnsweredCourse): string => ofSide(title, lead, sides);

/** As in a report: what is said in one sentence has to stand together. */
function changedText(courses: readonly AnsweredCourse[]): string {
  const known = courses.filter(({ month }) => month !== null && month.verdict !== 'too little data');
  if (courses.length === 0) return 'Nothing is measured yet.';
  if (known.length === 0) return 'It is too early to say: too few days are measured.';
  const stand = standTogether(courses, ({ month }) => month?.chance ?? null);
  const of = (verdict: Compared['verdict']): AnsweredCourse[] =>
    known.filter((each) => each.month!.verdict === verdict);
  const [better, worse] = (['faster', 'slower'] as const).map((verdict) =>
    of(verdict).filter((each) => stand.has(each)),
  ) as [AnsweredCourse[], AnsweredCourse[]];
  const all = [...better, ...worse];
  if (all.length === 1) return `${nameOf(all[0]!)}. ${all[0]!.month!.sentence}`;
  if (all.length > 1)
    return [listed('Clearly better', better), listed('Clearly worse', worse)]
      .filter((part) => part !== '')
      .join(' ');
  const alone = [...of('faster'), ...of('slower')][0];
  const compared = howMany(known.length, 'comparison');
  return alone
    ? `No sure change in ${compared}. ${nameOf(alone)} stands out, as one of so many may do by chance.`
    : `No real change in the last four weeks (${compared}).`;
}

const listed = (what: string, courses: readonly AnsweredCourse[]): string =>
  courses.length === 0 ? '' : `${what} than the weeks before: ${courses.map(nameOf).join('; ')}.`;

function leadsText(leads: AnswerFacts['leads']): string {
  if (leads.length === 0) return 'The leads are not compared yet: it takes trials from both on two days.';
  const surest = [...leads].filter(({ behind }) => behind !== null).sort((a, b) => a.chance - b.chance)[0];
  return surest
    ? `${surest.title}. ${surest.sentence}`
    : `No real difference between the leads in ${leads.map(({ title }) => title).join(', ')}.`;
}

/** So many things are named of what is missing, and of what is due. */
const MOST = 2;

function nextText({ check, tempos, memory }: AnswerFacts): string {
  const missing = check?.lines.filter(({ isMet }) => !isMet).map(({ asked }) => asked) ?? [];
  const more = missing.length - MOST;
  const up = tempos.filter(({ bpm, last }) => bpm > (last ?? bpm))[0];
  const due = memory.filter(({ isDue }) => isDue).map(({ combo }) => combo);
  const sentences = [
    ...(check === null
      ? []
      : missing.length === 0
        ? [`All that ${check.grade} asks for is there; a coach looks and decides.`]
        : [
            `For ${check.grade}: ${missing.slice(0, MOST).join('; ')}${more > 0 ? `; and ${more} more` : ''}.`,
          ]),
    ...(up ? [`${up.combo} may go up to ${up.bpm} a minute.`] : []),
    ...(due.length > 0 ? [`Ask again: ${due.slice(0, MOST).join(', ')}.`] : []),
  ];
  return sentences.length === 0 ? 'Nothing is asked for yet.' : sentences.join(' ');
}
