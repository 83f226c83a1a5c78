import { howMany, type Bpm } from '../units/index.ts';

/** How a set was done as a whole. */
export type SetQuality = 'clean' | 'loose' | 'wild';

/** One set of a combo at one tempo. */
export interface TempoSet {
  readonly bpm: Bpm;
  readonly quality: SetQuality;
}

export interface TempoAdvice {
  readonly bpm: Bpm;
  /** Why, in one sentence. */
  readonly sentence: string;
}

/** One step of the ladder. */
export const TEMPO_STEP: Bpm = 4;
/** A step is twice as long once so many steps followed each other without a miss. */
const SURE_AFTER = 2;
/** So often clean at the best tempo before the next step is tried … */
const CLEAN_BEFORE_A_STEP = 1;
/** … and twice as often each time that the step was missed, up to this. */
const MOST_BEFORE_A_STEP = 8;
/** What was missed by no more than this share of the best tempo is tried again as it was. */
const CLOSE = 0.05;
/** Where nothing was clean yet: so much slower after two loose sets, and after a wild one (our own choice). */
const SLOWER = { loose: 0.92, wild: 0.86 } as const;

/** What the sets of one combo say of somebody. */
interface Standing {
  /** The best tempo that was clean and still is. */
  best: Bpm | null;
  /** Clean sets at it since it was reached or last missed. */
  held: number;
  /** How many are asked for before the next step. */
  wanted: number;
  /** The slowest tempo above it that was missed. */
  missed: Bpm | null;
  /** Misses in a row. */
  misses: number;
  /** Steps in a row without a miss. */
  steps: number;
}

/**
 * The next tempo of somebody in a combo by what was said of the sets before, oldest first: a step above the best tempo that was clean;
 * where the step is missed twice, the best tempo again, for twice as long as before; where nothing was clean yet, slower and slower. It goes by the best clean tempo and not by the last set, so that it does not swing. Null before the first set.
 *
 * @example
 * ownTempo([{ bpm: 84, quality: 'clean' }]).bpm // 88
 */
export function ownTempo(sets: readonly TempoSet[]): TempoAdvice | null {
  const last = sets.at(-1);
  if (!last) return null;
  const stand: Standing = {
    best: null,
    held: 0,
    wanted: CLEAN_BEFORE_A_STEP,
    missed: null,
    misses: 0,
    steps: 0,
  };
  for (const set of sets) take(stand, set);
  return stand.best === null ? beforeTheFirst(stand, last) : fromTheBest(stand, stand.best, last);
}

function take(stand: Standing, { bpm, quality }: TempoSet): void {
  if (quality === 'clean') {
    stand.misses = 0;
    if (stand.best === null || bpm > stand.best) {
      if (stand.best !== null) stand.steps += 1;
      if (stand.missed !== null && bpm >= stand.missed) {
        stand.missed = null;
        stand.wanted = CLEAN_BEFORE_A_STEP;
      }
      stand.best = bpm;
      stand.held = 1;
    } else if (bpm === stand.best) stand.held += 1;
    return;
  }
  stand.steps = 0;
  stand.misses += quality === 'wild' ? 2 : 1;
  if (stand.best === null || bpm > stand.best) {
    stand.missed = Math.min(stand.missed ?? Infinity, bpm);
    // Below what was missed there may be a step left; where there is none, the best tempo is held for longer.
    const isNextStep = stand.best !== null && stand.missed <= stand.best + TEMPO_STEP;
    if (isNextStep && stand.misses >= 2 && stand.held > 0) {
      stand.held = 0;
      stand.wanted = Math.min(MOST_BEFORE_A_STEP, 2 * stand.wanted);
    }
  } else if (stand.misses >= 2) {
    // What is loose twice or wild is not clean any more: a step below it is tried.
    stand.best = Math.max(TEMPO_STEP, bpm - TEMPO_STEP);
    stand.missed = bpm;
    stand.held = 0;
    stand.misses = 0;
  }
}

function beforeTheFirst({ missed, misses }: Standing, last: TempoSet): TempoAdvice {
  const at = Math.min(missed ?? last.bpm, last.bpm);
  if (last.quality === 'loose' && misses % 2 === 1)
    return { bpm: at, sentence: `Loose at ${at}: stay there until it is clean.` };
  const bpm = Math.max(TEMPO_STEP, Math.floor(at * SLOWER[last.quality === 'wild' ? 'wild' : 'loose']));
  const how = last.quality === 'wild' ? 'Wild' : 'Loose twice';
  return { bpm, sentence: `${how} at ${at}, and never clean yet: back to ${bpm}, by parts.` };
}

function fromTheBest(stand: Standing, best: Bpm, last: TempoSet): TempoAdvice {
  const { held, wanted, missed, misses, steps } = stand;
  if (last.quality === 'wild' && last.bpm > best) {
    const bpm = Math.max(TEMPO_STEP, best - TEMPO_STEP);
    return {
      bpm,
      sentence: `Wild at ${last.bpm}: back to ${bpm}, ${TEMPO_STEP} below the best clean ${best}.`,
    };
  }
  if (misses === 1 && last.bpm > best && last.bpm <= best + TEMPO_STEP)
    return { bpm: last.bpm, sentence: `Loose at ${last.bpm}: stay there until it is clean.` };
  if (held < wanted) {
    const more = wanted - held;
    const sentence =
      held === 0
        ? `Not clean at ${missed ?? last.bpm}: ${best} until it is clean ${timesText(wanted)}.`
        : `Clean ${timesText(held)} at ${best}: ${timesText(more)} more, then faster.`;
    return { bpm: best, sentence };
  }
  const bpm = best + (missed === null ? freeStep(steps) : stepTowards(missed, best, wanted));
  return {
    bpm,
    sentence: `Clean${held === 1 ? '' : ` ${timesText(held)}`} at ${best}: up to ${bpm}.`,
  };
}

const freeStep = (steps: number): Bpm => (steps >= SURE_AFTER ? 2 * TEMPO_STEP : TEMPO_STEP);

/** Towards what was missed: as far as it lies, or half the way where that is much for this tempo. */
function stepTowards(missed: Bpm, best: Bpm, wanted: number): Bpm {
  const way = Math.max(1, missed - best);
  const step = way > CLOSE * best && wanted > CLEAN_BEFORE_A_STEP ? Math.floor(way / 2) : way;
  return Math.max(1, Math.min(TEMPO_STEP, step));
}

const timesText = (times: number): string =>
  times === 1 ? 'once' : times === 2 ? 'twice' : howMany(times, 'time');

/**
 * How a whole class did a set: as those who did it worst. Null where nobody said anything of it.
 *
 * @example
 * setQuality(['clean', null, 'loose']) // 'loose'
 */
export function setQuality(marks: readonly (SetQuality | null)[]): SetQuality | null {
  return (['wild', 'loose', 'clean'] as const).find((quality) => marks.includes(quality)) ?? null;
}
