import { createEmptyCard, fsrs, Rating, type Card, type Grade } from 'ts-fsrs';

/** How a combo came when it was asked. */
export const RECALLS = ['recalled', 'with-help', 'forgot'] as const;
export type Recall = (typeof RECALLS)[number];

/** What a fighter remembers of a combo, as the scheduler keeps it. */
export interface MemoryCard {
  /** ISO instants. */
  readonly due: string;
  readonly lastAsked: string | null;
  readonly stability: number;
  readonly difficulty: number;
  readonly times: number;
  readonly lapses: number;
  readonly state: number;
  readonly interval: number;
}

/** Classes are days apart, so nothing is asked again within minutes; the same answers give the same days everywhere. */
const scheduler = fsrs({ enable_fuzz: false, enable_short_term: false });

const GRADES: Readonly<Record<Recall, Grade>> = {
  recalled: Rating.Good,
  'with-help': Rating.Hard,
  forgot: Rating.Again,
};

/** Below this chance of being recalled a combo is slipping. */
const SLIPPING = 0.8;

/**
 * A card after it was asked at an instant; `null` for the first time. The package `ts-fsrs` says when it is due again.
 *
 * @example
 * asked(null, 'recalled', '2026-03-05T18:00:00.000Z').times // 1
 */
export function asked(card: MemoryCard | null, recall: Recall, at: string): MemoryCard {
  const now = new Date(at);
  return keptCard(scheduler.next(card ? fullCard(card) : createEmptyCard(now), now, GRADES[recall]).card);
}

/**
 * A card from all times at which it was asked, whatever the order in which they came in. Null where it never was.
 *
 * @example
 * memoryOf([{ recall: 'recalled', at: '2026-03-05T18:00:00Z' }]).times // 1
 */
export function memoryOf(
  times: readonly { readonly recall: Recall; readonly at: string }[],
): MemoryCard | null {
  return times
    .toSorted((a, b) => Date.parse(a.at) - Date.parse(b.at))
    .reduce<MemoryCard | null>((card, { recall, at }) => asked(card, recall, at), null);
}

/**
 * A card after classes in which the combo was called by its number alone and done cleanly: each day counts as an answer with help, which
 * weighs less than one that was asked for. Days before it was asked last say nothing new.
 *
 * @param days ISO instants, in any order
 *
 * @example
 * doneFromMemory(asked(null, 'recalled', '2026-03-05T18:00:00.000Z'), ['2026-03-12T18:00:00.000Z']).times // 2
 */
export function doneFromMemory(card: MemoryCard, days: readonly string[]): MemoryCard {
  const after = [...new Set(days)]
    .sort()
    .filter((day) => card.lastAsked === null || Date.parse(day) > Date.parse(card.lastAsked) + A_DAY);
  return after.reduce((kept, day) => asked(kept, 'with-help', day), card);
}
/** The class in which it was asked is no class after that. */
const A_DAY = 20 * 3_600_000;

export interface MemoryNow {
  /** Chance that it is recalled now, 0 to 1; what was forgotten has none until it is recalled again. */
  readonly chance: number;
  readonly isDue: boolean;
  readonly isSlipping: boolean;
}

/**
 * How well a combo is remembered at an instant.
 *
 * @param last how it came when it was asked last
 *
 * @example
 * memoryNow(asked(null, 'recalled', '2026-03-05T18:00:00.000Z'), 'recalled', '2026-03-05T18:00:00.000Z').isDue // false
 */
export function memoryNow(card: MemoryCard, last: Recall, at: string): MemoryNow {
  // The scheduler takes for granted that what was forgotten was shown again; nobody has seen it recalled.
  const chance = last === 'forgot' ? 0 : scheduler.get_retrievability(fullCard(card), new Date(at), false);
  return { chance, isDue: Date.parse(card.due) <= Date.parse(at), isSlipping: chance < SLIPPING };
}

/** A combo that everybody here has forgotten comes so much more often than one that nobody has to be asked for. */
const DUE_WEIGHT = 2;
const SLIPPING_WEIGHT = 2;

/**
 * How much a combo needs to be trained by those who are here, 1 being usual; for rounds by need.
 *
 * @param people how many are here
 *
 * @example
 * comboNeed([{ isDue: true, isSlipping: false }], 2) // 2
 */
export function comboNeed(
  memory: readonly Pick<MemoryNow, 'isDue' | 'isSlipping'>[],
  people: number,
): number {
  if (people <= 0) return 1;
  const share = (those: readonly unknown[]): number => Math.min(1, those.length / people);
  const due = share(memory.filter(({ isDue }) => isDue));
  const slipping = share(memory.filter(({ isSlipping }) => isSlipping));
  return 1 + DUE_WEIGHT * due + SLIPPING_WEIGHT * slipping;
}

function fullCard({
  due,
  lastAsked,
  stability,
  difficulty,
  times,
  lapses,
  state,
  interval,
}: MemoryCard): Card {
  const asked = lastAsked === null ? {} : { last_review: new Date(lastAsked) };
  return {
    due: new Date(due),
    stability,
    difficulty,
    elapsed_days: 0,
    scheduled_days: interval,
    learning_steps: 0,
    reps: times,
    lapses,
    state,
    ...asked,
  };
}

function keptCard(card: Card): MemoryCard {
  const {
    due,
    last_review: asked,
    stability,
    difficulty,
    reps,
    lapses,
    state,
    scheduled_days: interval,
  } = card;
  const lastAsked = asked?.toISOString() ?? null;
  return { due: due.toISOString(), lastAsked, stability, difficulty, times: reps, lapses, state, interval };
}
