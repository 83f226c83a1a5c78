import { starterBook } from '@eurhythm/core/moves';
import { evaluateTrial, type HeardTrial } from '@eurhythm/core/speed';
import { simulateRound } from '@eurhythm/core/simulation';
import { DETECTOR_VERSION, impactBeats } from '@eurhythm/core/strikes';
import { normalDraw, thousandths, type RandomSource } from '@eurhythm/core/units';
import { COMBOS, GRADES, type DemoCombo } from './saltmarsh.ts';

/** What hears the demonstration's trials, how late it is in seconds, and how loud a strike is to it in decibels. */
const EAR = { device: 'microphone at the bag', loud: -18, scatter: 3 } as const;
/** One strike in so many comes with a sound that may have been another one. */
const DOUBTFUL = 0.03;
/** So often a combo is done in one trial, and so many beats lie between. */
const TIMES = 8;
const PAUSE_BEATS = 3;
/** From the beginning to the first strike. */
const BEFORE = 2;

/** From so many impacts on a combo has gaps to report. */
const LEAST_IMPACTS = 3;

const book = starterBook();
const known = new Map<string, readonly number[]>();

/** The beats of a line's impacts, which do not depend on the lead. */
function beatsOf(line: string): readonly number[] {
  const beats = known.get(line) ?? impactBeats(line, 'left', book).map(({ beat }) => beat);
  known.set(line, beats);
  return beats;
}

/** The first combo of each grade that has gaps, which is timed in every class. */
export const HEARD_COMBOS: readonly (DemoCombo & { readonly called: string })[] = GRADES.flatMap(
  ({ id, name }) => {
    const combo = COMBOS.find(({ gradeId, line }) => gradeId === id && beatsOf(line).length >= LEAST_IMPACTS);
    return combo ? [{ ...combo, called: `${name} ${combo.number}` }] : [];
  },
);

/** What a microphone at the bag heard of strikes at these instants, with what it was not sure of. */
export function heardAt(
  instants: readonly number[],
  random: RandomSource,
  more: Pick<HeardTrial, 'due' | 'starts'>,
): HeardTrial {
  const onsets = instants.map((at) => ({
    at: thousandths(at),
    strength: Math.round(10 * (EAR.loud + EAR.scatter * normalDraw(random))) / 10,
  }));
  const doubtful = instants.flatMap((at) =>
    random() < DOUBTFUL ? [{ at: thousandths(at + 0.09), strength: EAR.loud - 22, doubtful: true }] : [],
  );
  return {
    source: 'microphone',
    device: EAR.device,
    detector: DETECTOR_VERSION,
    onsets: [...onsets, ...doubtful].sort((a, b) => a.at - b.at),
    ...more,
  };
}

export interface HeardCombo {
  readonly heard: HeardTrial;
  readonly instants: number[];
  /** The usual time from the first impact to the last, in seconds; null where no whole time through landed. */
  readonly value: number | null;
}

/** A combo again and again, by somebody who takes `slow` times as long as the line asks. */
export function heardCombo(
  { line, bpm }: DemoCombo,
  { slow, spread }: { readonly slow: number; readonly spread: number },
  random: RandomSource,
): HeardCombo {
  const beats = beatsOf(line);
  const every = ((beats.at(-1) ?? 0) + PAUSE_BEATS) * (60 / bpm);
  const times = Array.from({ length: TIMES }, (_, n) => BEFORE + n * every);
  const due = times.flatMap((from) => beats.map((beat) => thousandths(from + (beat * 60) / bpm)));
  const done = times.flatMap((from) => beats.map((beat) => from + (slow * beat * 60) / bpm));
  const profile = { bias: 0.015, spread: 0.1 * spread, fading: 0.02, misses: 0.02, extras: 0.02 };
  const starts = times.map((_, n) => n * beats.length);
  const heard = heardAt(simulateRound(done, profile, random), random, { due, starts });
  const { instants, value } = evaluateTrial({ kind: 'combo-time', seconds: 10 }, heard);
  return { heard, instants: [...instants], value };
}
