import { setQuality, type TempoLog } from '../../tempo/index.ts';
import { howMany } from '../../units/index.ts';

/** What a week is for. */
export const WEEK_KINDS = ['build', 'light', 'test', 'grading'] as const;
export type WeekKind = (typeof WEEK_KINDS)[number];

/** A week as a coach changed it; what is missing is planned. */
export interface WeekEdit {
  readonly theme?: string | undefined;
  readonly kind?: WeekKind | undefined;
}

/** What a season is planned from. */
export interface SeasonWish {
  /** The first day, and the last one: that of the grading where there is one. Days like 2026-03-05. */
  readonly from: string;
  readonly until: string;
  /** Whether the last week ends with a grading. */
  readonly isGrading: boolean;
  /** Classes of a week. */
  readonly classes: number;
  /** Minutes of a class. */
  readonly minutes: number;
  /** Changes of weeks, by their first day. */
  readonly edits: Readonly<Record<string, WeekEdit>>;
}

/** A combo that the season is about. */
export interface SeasonCombo {
  readonly id: string;
  readonly name: string;
  /** Its grading asks for it. */
  readonly isAsked: boolean;
  readonly focus: readonly string[];
}

/** What has happened until now. */
export interface SeasonLog extends TempoLog {
  /** The day on which a combo was last in a class; null when it never was. */
  lastDay(comboId: string): string | null;
}

export interface SeasonWeek {
  /** The first day and the last. */
  readonly from: string;
  readonly until: string;
  readonly kind: WeekKind;
  /** What it is about, in a word or two. */
  readonly theme: string;
  /** Load beside a usual week, 1 being usual. */
  readonly load: number;
  /** Minutes on the floor. */
  readonly minutes: number;
  /** Hardest contact in percent. */
  readonly contact: number;
  /** Ids of the combos that come for the first time, come again, and are tested. */
  readonly introduced: readonly string[];
  readonly repeated: readonly string[];
  readonly tested: readonly string[];
  /** Why, in one sentence. */
  readonly why: string;
}

/** One week in four is lighter, as is usual where people train for months (block periodisation). */
const LIGHT_EACH = 4;
const LIGHT_LOAD = 0.6;
const GRADING_LOAD = 0.5;
/** From the first week of a block to its third the load grows by so much. */
const GROWTH = 0.08;
/** Contact of a usual week, and of a light one, in percent. */
const CONTACT = { first: 40, most: 60, light: 25 } as const;
/** New combos come in the first part of the season; then there is time to repeat them. */
const NEW_UNTIL = 0.65;
/** A combo comes again after so many weeks: soon, then later and later. */
const AGAIN_AFTER = [1, 3, 6, 10] as const;
/** So many combos can be repeated in a class without doing none of them well. */
const REPEATS_PER_CLASS = 3;
const FEWEST_PER_CLASS = 2;

const DAY = 86_400_000;
const dayAfter = (day: string, days: number): string =>
  new Date(Date.parse(`${day}T12:00:00Z`) + days * DAY).toISOString().slice(0, 10);

/**
 * The weeks from a day to a grading, planned backwards from it: load that grows, one lighter week in four, tests in the last week of each
 * block, what is asked introduced early and repeated at growing distances, all of it once more before the end. Planned again on any day,
 * it goes by what really happened: what was never done is still to be introduced, what is not clean comes again sooner; weeks that are
 * over say what they were planned for.
 *
 * @param today like 2026-03-05
 *
 * @example
 * planSeason({ from: '2026-01-05', until: '2026-03-29', isGrading: true, classes: 2, minutes: 60, edits: {} }, [], { setsOf: () => [], lastDay: () => null }, [], '2026-01-05').length // 12
 */
export function planSeason(
  wish: SeasonWish,
  combos: readonly SeasonCombo[],
  log: SeasonLog,
  people: readonly string[],
  today: string,
): SeasonWeek[] {
  const starts: string[] = [];
  for (let day = wish.from; day <= wish.until; day = dayAfter(day, 7)) starts.push(day);
  const kinds = starts.map((from, i) => wish.edits[from]?.kind ?? kindOf(starts.length - 1 - i, wish));
  const order = inOrder(combos, log, people);
  const first = Math.max(
    0,
    starts.findIndex((from) => dayAfter(from, 6) >= today),
  );
  const planned = spread(order, kinds, first, wish);
  return starts.map((from, i): SeasonWeek => {
    const kind = kinds[i]!;
    const { introduced, repeated } = planned[i]!;
    const tested =
      kind === 'test' || kind === 'grading'
        ? combos.filter(({ isAsked }) => isAsked).map(({ id }) => id)
        : [];
    const load = loadOf(kind, i, kinds);
    const theme = wish.edits[from]?.theme ?? themeOf([...introduced, ...repeated], combos, kind);
    return {
      from,
      until: i === starts.length - 1 ? wish.until : dayAfter(from, 6),
      ...{ kind, theme, load, introduced, repeated, tested },
      minutes: Math.round(wish.classes * wish.minutes * Math.min(1, 0.4 + 0.6 * load)),
      contact: contactOf(kind, i, starts.length),
      why: whyOf(kind, introduced.length, repeated.length, starts.length - 1 - i),
    };
  });
}

/** From the end: the grading, the test before it, and so on; the first week builds. */
function kindOf(left: number, { isGrading }: SeasonWish): WeekKind {
  if (left === 0) return isGrading ? 'grading' : 'test';
  if (left === 1) return isGrading ? 'test' : 'build';
  return left % LIGHT_EACH === 0 ? 'light' : left % LIGHT_EACH === 1 ? 'test' : 'build';
}

function loadOf(kind: WeekKind, i: number, kinds: readonly WeekKind[]): number {
  if (kind === 'light') return LIGHT_LOAD;
  if (kind === 'grading') return GRADING_LOAD;
  const block = i - kinds.slice(0, i).lastIndexOf('light') - 1;
  return Math.round(100 * (1 + GROWTH * Math.min(block, LIGHT_EACH - 2))) / 100;
}

function contactOf(kind: WeekKind, i: number, weeks: number): number {
  if (kind === 'light' || kind === 'grading') return CONTACT.light;
  return 5 * Math.round((CONTACT.first + (CONTACT.most - CONTACT.first) * (i / Math.max(1, weeks - 1))) / 5);
}

interface Placed {
  readonly combo: SeasonCombo;
  /** It was done before: it only comes again. */
  readonly isKnown: boolean;
  /** How far it is from clean, 0 to 1. */
  readonly loose: number;
}

/** What is asked first, then what is not clean, then what was left longest. */
function inOrder(combos: readonly SeasonCombo[], log: SeasonLog, people: readonly string[]): Placed[] {
  const placed = combos.map((combo): Placed & { last: string } => {
    const marked = people.flatMap((id) => {
      const sets = log.setsOf(id, combo.id).slice(-2);
      return sets.length === 0 ? [] : [setQuality(sets.map(({ quality }) => quality))];
    });
    const loose =
      marked.length === 0 ? 1 : marked.filter((quality) => quality !== 'clean').length / marked.length;
    const last = log.lastDay(combo.id);
    return { combo, isKnown: last !== null, loose, last: last ?? '' };
  });
  const rank = ({ combo, loose }: Placed): number => (combo.isAsked ? 2 : 0) + loose;
  return placed.sort((a, b) => rank(b) - rank(a) || (a.last < b.last ? -1 : a.last > b.last ? 1 : 0));
}

/** Which combo comes for the first time, and again, in which week from `first` on. */
function spread(
  order: readonly Placed[],
  kinds: readonly WeekKind[],
  first: number,
  { classes }: SeasonWish,
): { introduced: string[]; repeated: string[] }[] {
  const weeks = kinds.map(() => ({ introduced: [] as string[], repeated: [] as string[] }));
  const open = kinds.map((_, i) => i).filter((i) => i >= first);
  const building = open.filter((i) => kinds[i] === 'build');
  const lastNew = first + Math.max(1, Math.ceil(NEW_UNTIL * (kinds.length - first)));
  const forNew = building.filter((i) => i < lastNew);
  const fresh = order.filter(({ isKnown }) => !isKnown);
  const room = (i: number): boolean => weeks[i]!.repeated.length < REPEATS_PER_CLASS * classes;
  const again = (id: string, from: number, after: readonly number[]): void => {
    for (const weeksLater of after) {
      const wanted = from + weeksLater;
      const at = open.find(
        (i) =>
          i >= wanted && i > from && kinds[i] !== 'grading' && room(i) && !weeks[i]!.repeated.includes(id),
      );
      if (at !== undefined) weeks[at]!.repeated.push(id);
    }
  };
  for (const [n, { combo }] of fresh.entries()) {
    const at =
      forNew[Math.floor((n * forNew.length) / Math.max(fresh.length, forNew.length))] ??
      building[0] ??
      open[0];
    if (at === undefined) break;
    weeks[at]!.introduced.push(combo.id);
    again(combo.id, at, AGAIN_AFTER);
  }
  for (const { combo, loose } of order.filter(({ isKnown }) => isKnown)) {
    // What is not clean comes this week and the next; what is clean waits.
    again(combo.id, first - 1, loose >= 0.5 ? [1, 2, 4, 7] : loose > 0 ? [1, 3, 6] : [2, 5, 9]);
  }
  fillUp(order, weeks, open, FEWEST_PER_CLASS * classes);
  const asked = order.filter(({ combo }) => combo.isAsked);
  for (const i of open.filter((each) => kinds[each] === 'test' || kinds[each] === 'grading'))
    for (const { combo } of asked) {
      const { introduced, repeated } = weeks[i]!;
      if (!introduced.includes(combo.id) && !repeated.includes(combo.id)) repeated.push(combo.id);
    }
  return weeks;
}

/** A week that has little takes what has waited for longest. */
function fillUp(
  order: readonly Placed[],
  weeks: readonly { introduced: string[]; repeated: string[] }[],
  open: readonly number[],
  fewest: number,
): void {
  for (const i of open) {
    const { introduced, repeated } = weeks[i]!;
    const has = (week: (typeof weeks)[number], id: string): boolean =>
      week.introduced.includes(id) || week.repeated.includes(id);
    const lastBefore = (id: string): number => weeks.slice(0, i).findLastIndex((week) => has(week, id));
    const waiting = order
      .map(({ combo, isKnown }) => ({ id: combo.id, isKnown, last: lastBefore(combo.id) }))
      .filter(({ id, isKnown, last }) => (isKnown || last !== -1) && !has(weeks[i]!, id))
      .sort((a, b) => a.last - b.last);
    const missing = Math.max(0, fewest - introduced.length - repeated.length);
    repeated.push(...waiting.slice(0, missing).map(({ id }) => id));
  }
}

function themeOf(ids: readonly string[], combos: readonly SeasonCombo[], kind: WeekKind): string {
  if (kind === 'grading') return 'grading';
  if (kind === 'test') return 'test';
  const count = new Map<string, number>();
  for (const id of ids)
    for (const word of combos.find((combo) => combo.id === id)?.focus ?? [])
      count.set(word, (count.get(word) ?? 0) + 1);
  const [most] = [...count].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1));
  return most?.[0] ?? (kind === 'light' ? 'footwork' : 'combos');
}

function whyOf(kind: WeekKind, fresh: number, again: number, left: number): string {
  const what = [
    ...(fresh > 0 ? [`${howMany(fresh, 'combo')} for the first time`] : []),
    ...(again > 0 ? [`${howMany(again, 'combo')} again`] : []),
  ].join(', ');
  switch (kind) {
    case 'light':
      return `A lighter week, one in four, so that the work before it settles${what ? `: ${what}` : ''}.`;
    case 'test':
      return `What was learnt is tested while there is time to mend it${what ? `: ${what}` : ''}.`;
    case 'grading':
      return `Fresh for the day: little work, nothing new${what ? `, ${what}` : ''}.`;
    case 'build':
      return `${what ? `${what[0]!.toUpperCase()}${what.slice(1)}` : 'What is known, better'}; ${howMany(left, 'week')} left.`;
    default:
      return kind satisfies never;
  }
}
