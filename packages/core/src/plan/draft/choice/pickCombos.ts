import { setQuality, tempoFor, type CleanUpTo, type TempoForPeople } from '../../../tempo/index.ts';
import { howMany, type Bpm } from '../../../units/index.ts';
import type { Candidate } from './candidates.ts';
import type { DraftLog, DraftPerson } from '../wish.ts';

/** A combo that was chosen, with the tempo that is right for all who do it. */
export interface PickedCombo extends Candidate {
  /** Why this one, in a few words. */
  readonly why: string;
  /** Most of those who did it last were not clean: it is learnt anew, by parts. */
  readonly isLoose: boolean;
  readonly tempo: TempoForPeople;
}

export interface PickFrom {
  readonly candidates: readonly Candidate[];
  readonly people: readonly DraftPerson[];
  readonly log: DraftLog;
  /** Ids of the combos that the next grade asks for. */
  readonly asked: readonly string[];
  /** Ids of the combos that the season has for this class. */
  readonly include: readonly string[];
  readonly themeWords: readonly string[];
  readonly count: number;
  readonly cleanUpTo: CleanUpTo;
  readonly factor: number;
  random(): number;
}

/** A combo that was never trained counts as left for so long. */
const NEVER_DAYS = 120;
/** Days after which a combo is as overdue as it gets. */
const OVERDUE_DAYS = 60;
/** What was trained so few days ago goes to the back of the queue. */
const JUST_DAYS = 3;
/**
 * How much each reason weighs beside the others (our own choice): the theme, what a grading asks, what is loose, what slips from memory,
 * neglect, balance of limbs and heights; against it what the last classes had. Chance decides between those that come close.
 */
const WEIGHT = {
  included: 4,
  theme: 3,
  asked: 2,
  loose: 1.6,
  due: 1.5,
  overdue: 1,
  balance: 0.8,
  chance: 0.5,
} as const;
/** By the class that it was in: the last one, the one before, and the one before that. */
const AGAIN = [1.6, 1.1, 0.6] as const;
const JUST_TRAINED = 1;
/** From this share of the class on it is memory, or a loose set, that a combo is there for. */
const IS_WHY = 0.25;

/** What is clean only below this would hold a whole class up: it is shown on the count, not to a clock. */
const SLOWEST: Bpm = 40;

type Reason = 'included' | 'theme' | 'asked' | 'loose' | 'due' | 'overdue' | 'balance';

/**
 * Chooses combos one after the other for one group: what the theme and the next grading ask, what is loose or slips from memory, what was
 * not trained for longest, and what the ones chosen so far lack in limbs and heights (over both leads, as they will be trained); not what
 * the last three classes had.
 */
export function pickCombos({ candidates, count, random, ...from }: PickFrom): PickedCombo[] {
  const left = candidates.map((candidate) => ({
    candidate,
    fixed: fixedScores(candidate, from),
    chance: WEIGHT.chance * random(),
  }));
  const picked: PickedCombo[] = [];
  const done: Record<string, number> = {};
  while (picked.length < count && left.length > 0) {
    const scored = left.map((each) => {
      const scores = { ...each.fixed.scores, balance: WEIGHT.balance * lackingShare(each.candidate, done) };
      const total = Object.values(scores).reduce(
        (sum, score) => sum + score,
        each.chance - each.fixed.against,
      );
      return { each, scores, total };
    });
    const best = scored.reduce((a, b) => (b.total > a.total + 1e-9 ? b : a));
    left.splice(left.indexOf(best.each), 1);
    const { candidate, fixed } = best.each;
    const tempo = tempoFor(from.people, candidate.combo, from.log, from.cleanUpTo, from.factor);
    if (
      Math.min(...tempo.each.map(({ clean }) => clean), from.cleanUpTo(candidate.combo, from.factor)) <
      SLOWEST
    )
      continue;
    picked.push({
      ...candidate,
      isLoose: fixed.isLoose,
      why: reasonOf(candidate, best.scores, from),
      tempo,
    });
    for (const [key, value] of Object.entries(candidate.shape.shares)) done[key] = (done[key] ?? 0) + value;
  }
  return picked;
}

function fixedScores(
  { bookId, theme }: Candidate,
  { people, log, asked, include }: Omit<PickFrom, 'candidates' | 'count' | 'random'>,
) {
  const own = new Set(people.map(({ id }) => id));
  const due = log.dueWith(bookId).filter((id) => own.has(id)).length / Math.max(1, people.length);
  const days = log.daysAgo(bookId);
  const lastSets = people.flatMap(({ id }) => {
    const sets = log.setsOf(id, bookId).slice(-2);
    return sets.length === 0 ? [] : [setQuality(sets.map(({ quality }) => quality))];
  });
  const loose = lastSets.filter((quality) => quality !== 'clean').length / Math.max(1, lastSets.length);
  const again = AGAIN.reduce<number>(
    (sum, weight, i) => sum + (log.recent[i]?.includes(bookId) ? weight : 0),
    0,
  );
  // What is loose needs its next class sooner; it is the tempo and the parts that change.
  const isLoose = loose >= 0.5;
  const just = days !== null && days <= JUST_DAYS ? JUST_TRAINED : 0;
  return {
    isLoose,
    against: (again + just) * (isLoose ? 0.3 : 1),
    scores: {
      included: include.includes(bookId) ? WEIGHT.included : 0,
      theme: WEIGHT.theme * theme,
      asked: asked.includes(bookId) ? WEIGHT.asked : 0,
      loose: WEIGHT.loose * loose,
      due: WEIGHT.due * due,
      overdue: (WEIGHT.overdue * Math.min(OVERDUE_DAYS, days ?? NEVER_DAYS)) / OVERDUE_DAYS,
    },
  };
}

/** How much of a combo's strikes goes where the ones so far have least: 1 all of it, 0 none. */
function lackingShare({ shape: { shares } }: Candidate, done: Readonly<Record<string, number>>): number {
  const most = Math.max(0, ...Object.values(done));
  if (most === 0) return 0;
  const own = Object.entries(shares);
  const strikes = own.reduce((sum, [, share]) => sum + share, 0);
  if (strikes === 0) return 0;
  return own.reduce((sum, [key, share]) => sum + (share / strikes) * (1 - (done[key] ?? 0) / most), 0);
}

function reasonOf(
  { bookId, theme }: Candidate,
  scores: Readonly<Record<Reason, number>>,
  { people, log, themeWords }: Omit<PickFrom, 'candidates' | 'count' | 'random'>,
): string {
  if (scores.included > 0) return 'is what the season has for this week';
  if (theme > 0) return `is of “${themeWords.join(', ')}”`;
  if (scores.asked > 0) return 'is asked at the grading';
  if (scores.loose >= WEIGHT.loose * 0.5) return 'was not clean last time';
  const own = new Set(people.map(({ id }) => id));
  const due = log.dueWith(bookId).filter((id) => own.has(id)).length;
  if (scores.due >= WEIGHT.due * IS_WHY) return `is due from memory with ${due} of ${people.length}`;
  const days = log.daysAgo(bookId);
  if (days === null) return 'has not been in a class yet';
  if (scores.balance > scores.overdue) return 'brings limbs and heights that the others leave out';
  return days === 0
    ? 'was trained today, and nothing else is left'
    : `was last trained ${howMany(days, 'day')} ago`;
}
