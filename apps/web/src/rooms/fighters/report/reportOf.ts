import { groupBy } from '@eurhythm/core/units';
import type { FighterLog, FighterProgress } from '@eurhythm/contract';
import { valueText } from '@eurhythm/core/progress';

export interface ReportPart {
  readonly title: string;
  readonly sentences: readonly string[];
}

/** So many of a kind stand on one page. */
const MOST = 5;

/** What a report says of one person between two days, in plain words; nobody else is named in it. */
export function reportOf(
  { rounds }: Pick<FighterLog, 'rounds'>,
  progress: FighterProgress,
  from: string,
  to: string,
): ReportPart[] {
  const within = rounds.filter(({ at }) => at.slice(0, 10) >= from && at.slice(0, 10) <= to);
  const parts = [
    { title: 'What was trained', sentences: trained(within) },
    { title: 'Clear changes for the better', sentences: better(progress) },
    { title: 'What stayed as it was', sentences: stayed(progress) },
    { title: 'What comes next', sentences: next(progress) },
  ];
  return parts.filter(({ sentences }) => sentences.length > 0);
}

function trained(rounds: FighterLog['rounds']): string[] {
  if (rounds.length === 0) return ['No class in this time.'];
  const classes = new Set(rounds.map(({ runId }) => runId)).size;
  const finished = rounds.filter(({ done }) => done === 'finished').length;
  const combos = [
    ...groupBy(
      rounds.flatMap((round) => round.combos),
      (name) => name,
    ),
  ]
    .sort(([, a], [, b]) => b.length - a.length)
    .slice(0, MOST)
    .map(([name, times]) => `${name} (${times.length} ${times.length === 1 ? 'round' : 'rounds'})`);
  return [
    `${classes} ${classes === 1 ? 'class' : 'classes'}, ${finished} of ${rounds.length} rounds finished.`,
    ...(combos.length === 0 ? [] : [`Combos most often: ${combos.join(', ')}.`]),
  ];
}

function better({ courses }: FighterProgress): string[] {
  const found = courses.flatMap(({ title, lead, kind, between, learning }) => {
    if (between?.verdict !== 'faster') return [];
    const textOf = valueText(kind);
    const learnt = learning > 0 ? ' A part of it is that the test itself was new.' : '';
    return [
      `${title}, ${lead} lead: from ${textOf(between.means.before!)} to ${textOf(between.means.after!)}. That is more than chance.${learnt}`,
    ];
  });
  return found.length === 0
    ? ['Nothing yet that stands out from chance. That is usual in a short time, and no fault.']
    : found.slice(0, MOST);
}

function stayed({ courses }: FighterProgress): string[] {
  return courses
    .flatMap(({ title, lead, kind, between }) =>
      between?.verdict === 'no real change'
        ? [`${title}, ${lead} lead: about ${valueText(kind)(between.means.after!)}.`]
        : [],
    )
    .slice(0, MOST);
}

function next({ check, tempos, memory, leads, goals }: FighterProgress): string[] {
  const missing = check?.lines.filter(({ isMet }) => !isMet) ?? [];
  const behind = leads.find((each) => each.behind !== null);
  const up = tempos.filter(({ bpm, last }) => bpm > last).slice(0, 2);
  const due = memory.filter(({ isDue }) => isDue).slice(0, 3);
  return [
    ...(check && missing.length === 0
      ? [`Everything for ${check.grade} is there; a coach looks and decides.`]
      : []),
    ...(check && missing.length > 0
      ? [`For ${check.grade}: ${missing.map(({ asked }) => asked).join('; ')}.`]
      : []),
    ...(behind ? [`The ${behind.behind} lead gets a little more time.`] : []),
    ...up.map(({ combo, bpm }) => `${combo} may go up to ${bpm} a minute.`),
    ...(due.length === 0 ? [] : [`To be looked at again: ${due.map(({ combo }) => combo).join(', ')}.`]),
    ...goals.map(({ title, value, by, sentence }) => `Goal, ${title}: ${value} by ${by}. ${sentence}`),
  ];
}
