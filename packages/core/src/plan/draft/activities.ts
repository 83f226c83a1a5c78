import type { PlainRound } from './plainRound.ts';
import { comboRound, partsRound } from './rounds/comboRounds.ts';
import { LIGHT_CLASS, type DraftClass } from './draftedClass.ts';
import {
  burstRound,
  conditioningRound,
  footworkRound,
  reactionRound,
  shadowRound,
} from './rounds/otherRounds.ts';
import { techniqueRound } from './rounds/techniqueRound.ts';
import type { ThemeWork } from './choice/theme.ts';

/** What a class can be made of between warm-up and cool-down, in the order in which it usually comes. */
export const ACTIVITIES = [
  'technique',
  'footwork',
  'parts',
  'combos',
  'reaction',
  'pads',
  'burst',
  'conditioning',
  'shadow',
] as const;
export type Activity = (typeof ACTIVITIES)[number];

/** A round of each kind; null where the class has nothing for it. The number says which one of its kind it is, from 0. */
const BUILDERS: Readonly<Record<Activity, (of: DraftClass, nth: number) => PlainRound | null>> = {
  technique: techniqueRound,
  footwork: footworkRound,
  parts: (of) => partsRound(of),
  combos: (of) => comboRound(of, false),
  // A call is answered from the lead in which one stands.
  reaction: (of, nth) => (of.bounds.isEven ? null : reactionRound(of, nth)),
  pads: (of) => (of.turns === null || !of.hasPads ? null : comboRound(of, true)),
  burst: (of) => burstRound(of),
  conditioning: conditioningRound,
  shadow: shadowRound,
};

export const buildRound = (activity: Activity, of: DraftClass, nth: number): PlainRound | null =>
  BUILDERS[activity](of, nth);

/** What the first of a kind is worth beside the others, and what each further one keeps of that (our own choice). */
const WORTH: Readonly<
  Record<Activity, { readonly first: number; readonly again: number; readonly most: number }>
> = {
  technique: { first: 0.98, again: 0.62, most: 4 },
  footwork: { first: 0.5, again: 0.45, most: 2 },
  parts: { first: 1, again: 0.66, most: 4 },
  combos: { first: 0.72, again: 0.7, most: 8 },
  reaction: { first: 0.6, again: 0.5, most: 3 },
  pads: { first: 0.97, again: 0.78, most: 10 },
  burst: { first: 0.62, again: 0.2, most: 1 },
  conditioning: { first: 0.5, again: 0.6, most: 3 },
  shadow: { first: 0.74, again: 0.5, most: 3 },
};

/** What a theme makes worth more. */
const OF_THEME: Readonly<Record<ThemeWork, Partial<Readonly<Record<Activity, number>>>>> = {
  footwork: { footwork: 2.4, shadow: 1.2 },
  contact: { pads: 1.3, combos: 0.7 },
  test: { burst: 2.4 },
  reaction: { reaction: 2.2 },
  lead: { combos: 1.3, shadow: 1.2 },
  shadow: { shadow: 1.8 },
  conditioning: { conditioning: 2.2 },
};
/** Chance moves the worth of a kind by so much either way, so that another seed gives another class. */
const CHANCE = 0.12;

/** How much a further round of a kind is worth to this class; 0 where it has enough, so many times over. */
export type Worth = (activity: Activity, already: number, over: number) => number;

/** With so many rounds for each combo that there is, each comes often enough. */
const ROUNDS_PER_COMBO = 0.75;

export function worthIn({ theme, random, minutes, groups, load }: DraftClass): Worth {
  const combos = 1 + Math.ceil(ROUNDS_PER_COMBO * Math.max(0, ...groups.map(({ queue }) => queue.size)));
  const mood = new Map(ACTIVITIES.map((activity) => [activity, 1 + CHANCE * (2 * random() - 1)]));
  return (activity, already, over) => {
    const { first, again, most: usual } = WORTH[activity];
    const most = activity === 'combos' || activity === 'pads' ? Math.min(usual, combos) : usual;
    // A class of three hours may have more of everything.
    if (load < LIGHT_CLASS && (activity === 'burst' || activity === 'conditioning')) return 0;
    // There is one peak, however little else there is to do.
    const times = activity === 'burst' ? 1 : over * Math.max(1, minutes / 90);
    if (already >= times * most) return 0;
    const wanted = [...theme.work].reduce((share, work) => share * (OF_THEME[work][activity] ?? 1), 1);
    // What the class is about stays worth a further round for longer.
    return first * again ** (already / wanted) * wanted * mood.get(activity)!;
  };
}
