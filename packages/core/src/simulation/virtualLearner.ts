import type { SetQuality } from '../tempo/index.ts';
import type { Bpm } from '../units/index.ts';

/*
 * A made-up fighter who learns combos, forgets them, and tires. It is a model and no person: good enough to compare two plans with each
 * other, and for nothing else. Where its shapes come from:
 * - practice: what is still missing shrinks by a share with each clean time through (the exponential law of practice; Heathcote, Brown
 *   and Mewhort 2000, "The power law repealed");
 * - difficulty: most is learnt a little below and at the own limit, little where it is easy, nothing where it is wild (the challenge
 *   point; Guadagnoli and Lee 2004);
 * - forgetting: a power of the days since, slower the more days it was practised on (Wixted and Ebbesen 1991; Cepeda and others 2006,
 *   on spacing);
 * - load: minutes times effort, and strain as the week's load times its monotony (session rating of effort; Foster 1998).
 * The numbers are this product's own.
 */

/** Who learns. */
export interface LearnerProfile {
  /** Share of what is missing that a class of good practice takes away, 0 to 1. */
  readonly rate: number;
  /** The tempo that the body allows in the end, times what a combo is written with. */
  readonly ceiling: number;
  /** How fast it is forgotten; 1 is usual. */
  readonly forgets: number;
  /** Share of the limit that a hard week costs, 0 to 1. */
  readonly tires: number;
}

/** What somebody knows of one combo. */
export interface LearntCombo {
  /** The tempo that was clean when it was done last. */
  readonly limit: Bpm;
  /** On how many days it was practised, and on which one last, from 0. */
  readonly days: number;
  readonly last: number;
}

/** Nobody falls below this share of the tempo that a combo is written with. */
const FLOOR = 0.6;
/** Shape of forgetting. */
const FORGETTING = { scale: 0.25, power: 0.22, spacing: 0.45 } as const;
/** Practice at this share of the limit teaches most; so far to either side it teaches a third. */
const CHALLENGE = { at: 0.98, width: 0.12 } as const;
/** From here on it is wild, and nothing is learnt. */
const WILD = 1.12;
/** So many times through are a class's worth of one combo. */
const ENOUGH_TIMES = 14;

/**
 * The tempo that somebody does cleanly on a day.
 *
 * @param written tempo that the combo is written with, beats a minute
 * @param day from 0
 * @param tired 0 rested to 1 spent
 *
 * @example
 * limitOn({ limit: 80, days: 3, last: 0 }, { rate: 0.2, ceiling: 1.3, forgets: 1, tires: 0.1 }, 80, 0, 0) // 80
 */
export function limitOn(
  { limit, days, last }: LearntCombo,
  { forgets, tires }: LearnerProfile,
  written: Bpm,
  day: number,
  tired: number,
): Bpm {
  const floor = FLOOR * written;
  const gone = Math.max(0, day - last);
  const power = (FORGETTING.power * forgets) / (1 + FORGETTING.spacing * days);
  const kept = (1 + FORGETTING.scale * gone) ** -power;
  return (floor + Math.max(0, limit - floor) * kept) * (1 - tires * tired);
}

/**
 * What somebody knows after a stretch of practice, and how it looked.
 *
 * @param bpm tempo of the practice
 * @param times through
 * @param day from 0
 * @param tired 0 rested to 1 spent
 *
 * @example
 * practise({ limit: 60, days: 0, last: 0 }, { rate: 0.2, ceiling: 1.3, forgets: 1, tires: 0 }, { written: 80, bpm: 59, times: 14, day: 0, tired: 0 }).quality // 'clean'
 */
export function practise(
  combo: LearntCombo,
  profile: LearnerProfile,
  {
    written,
    bpm,
    times,
    day,
    tired,
  }: {
    readonly written: Bpm;
    readonly bpm: Bpm;
    readonly times: number;
    readonly day: number;
    readonly tired: number;
  },
): { readonly combo: LearntCombo; readonly quality: SetQuality } {
  const now = limitOn(combo, profile, written, day, tired);
  const rested = limitOn(combo, profile, written, day, 0);
  const ratio = bpm / now;
  const quality: SetQuality = ratio <= 1 ? 'clean' : ratio <= WILD ? 'loose' : 'wild';
  const challenge = ratio > WILD ? 0 : Math.exp(-(((ratio - CHALLENGE.at) / CHALLENGE.width) ** 2));
  const missing = Math.max(0, profile.ceiling * written - rested);
  const learnt = profile.rate * missing * challenge * (1 - Math.exp(-times / ENOUGH_TIMES));
  const isNewDay = combo.days === 0 || day !== combo.last;
  return {
    quality,
    combo: { limit: rested + learnt, days: combo.days + (isNewDay ? 1 : 0), last: day },
  };
}

/**
 * Strain of a week: its load times its monotony, the mean load of a day over how much the days differ (Foster 1998).
 *
 * @param loads of each of the seven days, minutes times effort from 1 to 10
 *
 * @example
 * weekStrain([0, 400, 0, 400, 0, 0, 0]) > 0 // true
 */
export function weekStrain(loads: readonly number[]): number {
  const sum = loads.reduce((all, load) => all + load, 0);
  const mean = sum / loads.length;
  const spread = Math.sqrt(loads.reduce((all, load) => all + (load - mean) ** 2, 0) / loads.length);
  return spread === 0 ? 0 : (sum * mean) / spread;
}
