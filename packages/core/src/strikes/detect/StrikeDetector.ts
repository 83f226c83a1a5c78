import type { Seconds } from '../../units/index.ts';
import { BANDS, BandEnergies } from './BandEnergies.ts';
import type { Onset } from '../onset.ts';
import { EchoShare } from './EchoShare.ts';
import { Periodicity } from './Periodicity.ts';
import { strikeOdds } from './strikeOdds.ts';
import { AHEAD, BEHIND, strikePatch } from './strikePatch.ts';

/** A strike that was heard: `at` is where its sound begins, from the first sample on; `strength` is how loud its loudest 2 ms were, in decibels of full scale. */
export interface LoudOnset extends Onset {
  readonly strength: number;
}

/** What a hall and a device are like, as a calibration finds it; without it, the usual. */
export interface DetectorSetting {
  /** What is quieter, in decibels of full scale, is doubtful: a neighbour's bag, a step. */
  readonly leastStrength?: number;
}

/** Which making of the detector found what is kept. */
export const DETECTOR_VERSION = 'strikes 8';
/** Two strikes are no nearer than this. */
export const REFRACTORY: Seconds = 0.07;

/** Frames that are looked at as now, and twice as many as before, with a gap in between for a rise that takes some milliseconds. */
const NOW = 3;
const GAP = 3;
const BEFORE = 2 * NOW;
/** No band says more than this, so that one band alone is no strike; as a ratio of energies. */
const MOST_RISE = Math.exp(2.5);
/** Quieter than this mean square (−100 dB) is silence. */
const SILENCE = 1e-10;
/** The floor of a band falls to what is quieter within a tenth of a second, and rises within some seconds. */
const FALLS: Seconds = 0.1;
const RISES: Seconds = 4;
/** A rise counts where it comes out of the floor by so much. */
const FLOOR_FACTOR = 2;
/** From here on a rise is looked at; the highest of so many frames on either side is taken. */
const LEAST_RISE = 0.3;
const HIGHEST_OF = 12;
/** So likely is it reported, and so likely it is beyond doubt, as odds in nats: 0.42 and 0.7. */
const TOLD = Math.log(0.42 / 0.58);
const SURE = Math.log(0.7 / 0.3);
/** Odds are asked for so much more, in nats, of a rise that the own sound of the device explains wholly; of a half, a quarter of it. */
const EXPLAINED = 7.5;
/** The loudest frame of a strike lies within so many behind its rise. */
const LOUDEST_WITHIN = 9;
/** The frames about a rise; and so many are kept before those that lie behind are let go of, all at once. */
const WINDOW = BEHIND + 1 + AHEAD;
const KEPT = 8 * WINDOW;
/** The filters need so long to be in tune with what is there; nothing is reported about that time. */
const TUNED_AFTER: Seconds = 0.02;
/** What comes out of nothing and is this share as loud after 40 ms is no strike, but a microphone that begins. */
const STAYS = 0.5;
const STAYS_PART = 8;
/** A strike begins where this share of its rise is there. */
const BEGINS_AT = 0.1;

/** A rise that may be a strike, as the network is asked about it. */
export interface Rise {
  readonly at: Seconds;
  readonly patch: Float64Array;
}

/**
 * Hears strikes in a stream of samples: where all bands rise at once against what was before and against the floor
 * of the hall, the highest of such rises, small networks that tell strikes from voices and steps by what comes before and behind,
 * and the instant at which each begins. Pieces of any length give the same.
 */
export class StrikeDetector {
  private readonly sampleRate: number;
  private readonly bands: BandEnergies;
  private readonly periodicity: Periodicity;
  private readonly leastStrength: number;
  private readonly floor = new Float64Array(BANDS);
  private energies: Float64Array[] = [];
  /** The most that each band has in a frame and the two before it. */
  private tops: Float64Array[] = [];
  private rises: number[] = [];
  private echo: EchoShare | null = null;
  private echoes: (Float64Array | null)[] = [];
  private count = 0;
  private lastAt = -Infinity;
  private found: LoudOnset[] = [];
  private readonly onRise: ((rise: Rise) => void) | null;

  /** `sampleRate` in hertz, 8,000 to 192,000; `onRise` is reported all that is looked at. */
  constructor(
    sampleRate: number,
    { leastStrength = -Infinity }: DetectorSetting = {},
    onRise: ((rise: Rise) => void) | null = null,
  ) {
    this.sampleRate = sampleRate;
    this.bands = new BandEnergies(sampleRate);
    this.periodicity = new Periodicity(this.bands.rate);
    this.leastStrength = leastStrength;
    this.onRise = onRise;
  }

  /**
   * Takes the next samples, −1 to 1, and gives what is known by now: all that began more than 60 ms ago. Where the device plays itself,
   * `echo` is what was taken out of them; a rise that the rest of it may explain has to be the surer a strike.
   */
  push(samples: ArrayLike<number>, echo: ArrayLike<number> | null = null): LoudOnset[] {
    if (echo) {
      this.echo ??= new EchoShare(this.sampleRate);
      this.echo.push(echo);
    }
    this.bands.push(
      samples,
      (energies) => this.frame(energies),
      (piece, count) => this.periodicity.push(piece, count),
    );
    return this.take();
  }

  /** What is known when nothing comes any more. */
  end(): LoudOnset[] {
    for (let i = 0; i < AHEAD; i++) this.frame(this.floor.slice());
    return this.take();
  }

  private take(): LoudOnset[] {
    const { found } = this;
    this.found = [];
    return found;
  }

  private frame(energies: Float64Array): void {
    if (this.count === 0) {
      // Before the first frame it was as in it.
      this.floor.set(energies);
      for (let i = 0; i < BEHIND; i++) this.keep(energies, null);
      this.rises = Array.from(this.energies, () => 0);
    }
    this.learnFloor(energies);
    this.keep(energies, this.echo?.left(energies, this.floor) ?? null);
    this.rises.push(this.rise(this.energies.length, null));
    this.count += 1;
    if (this.count > AHEAD) this.look();
  }

  private keep(energies: Float64Array, echo: Float64Array | null): void {
    if (this.energies.length === KEPT) this.forget();
    this.energies.push(energies);
    this.tops.push(topsOf(this.energies));
    this.echoes.push(echo);
  }

  /** Lets go of what lies behind the window. */
  private forget(): void {
    this.energies = this.energies.slice(1 - WINDOW);
    this.tops = this.tops.slice(1 - WINDOW);
    this.echoes = this.echoes.slice(1 - WINDOW);
    this.rises = this.rises.slice(1 - WINDOW);
  }

  private learnFloor(energies: Float64Array): void {
    // A microphone that gives nothing for a while says nothing of the hall.
    if (loudness(energies) <= SILENCE) return;
    const falls = Math.min(1, this.bands.frameSeconds / FALLS);
    const rises = this.bands.frameSeconds / RISES;
    for (let b = 0; b < BANDS; b++) {
      const off = energies[b]! - this.floor[b]!;
      this.floor[b]! += off * (off < 0 ? falls : rises);
    }
  }

  /** How much all bands rise at once just before the frame `end`, over what may be echo, each no further than `MOST_RISE`; in nats. */
  private rise(end: number, echo: Float64Array | null): number {
    const { tops, floor } = this;
    const now = tops[end - 1]!;
    const [before, longBefore] = [tops[end - 1 - NOW - GAP]!, tops[end - 1 - NOW - GAP - NOW]!];
    let ratios = 1;
    for (let b = 0; b < BANDS; b++) {
      const under = FLOOR_FACTOR * floor[b]! + SILENCE + (echo?.[b] ?? 0);
      const ratio = (now[b]! + under) / (Math.max(before[b]!, longBefore[b]!) + under);
      if (ratio > 1) ratios *= Math.min(MOST_RISE, ratio);
    }
    return Math.log(ratios) / BANDS;
  }

  /** Whether the frame that lies `AHEAD` behind the newest is a strike. */
  private look(): void {
    const { rises } = this;
    const middle = rises.length - 1 - AHEAD;
    const rise = rises[middle]!;
    if (rise < LEAST_RISE) return;
    for (let k = middle - HIGHEST_OF; k <= middle + HIGHEST_OF; k++)
      if (rises[k]! > rise || (rises[k] === rise && k < middle)) return;
    const energies = this.energies.slice(-WINDOW);
    const loud = energies.slice(AROUND.from, AROUND.to).map(loudness);
    if (isBeginning(energies)) return this.learnFloorHere(energies.slice(-STAYS_PART));
    const top = loudest(loud);
    const begins = AROUND.from + beginning(loud, top);
    const at = (this.count - 1 - AHEAD - BEHIND + begins) * this.bands.frameSeconds;
    const periodic = this.periodicity.about((this.count - 1 - AHEAD) * this.bands.size);
    const patch = strikePatch(energies, this.floor, rise, periodic);
    this.onRise?.({ at, patch });
    const odds = strikeOdds(patch) - EXPLAINED * this.explained(middle, rise) ** 2;
    if (odds < TOLD || at < TUNED_AFTER || at - this.lastAt < REFRACTORY) return;
    const strength = 10 * Math.log10(loud[top]! + SILENCE);
    const isDoubtful = odds < SURE || strength < this.leastStrength;
    this.lastAt = at;
    this.found.push({ at, strength, ...(isDoubtful ? { doubtful: true } : {}) });
  }

  /** Which share of this rise in the middle the own sound of the device may have made. */
  private explained(middle: number, rise: number): number {
    const some = this.echoes.slice(middle + 1 - NOW, middle + 1).flatMap((echo) => (echo ? [echo] : []));
    if (some.length === 0) return 0;
    const most = some[0]!.map((_, b) => Math.max(...some.map((echo) => echo[b]!)));
    return Math.max(0, 1 - this.rise(middle + 1, most) / rise);
  }

  /** Takes what is heard in these frames for the floor, which would be learnt from nothing for some seconds else. */
  private learnFloorHere(now: readonly Float64Array[]): void {
    for (let b = 0; b < BANDS; b++)
      this.floor[b] = Math.max(this.floor[b]!, now.reduce((sum, bands) => sum + bands[b]!, 0) / now.length);
  }
}

/** The most of each band in the last of these frames and those just before it. */
function topsOf(energies: readonly Float64Array[]): Float64Array {
  const tops = energies.at(-1)!.slice();
  for (let k = Math.max(0, energies.length - NOW); k < energies.length - 1; k++)
    for (let b = 0; b < BANDS; b++) tops[b] = Math.max(tops[b]!, energies[k]![b]!);
  return tops;
}

/** Whether nothing at all came before the middle of a window, and what came there stays: samples that begin, or come again after a gap. */
function isBeginning(energies: readonly Float64Array[]): boolean {
  if (energies.slice(AROUND.from, BEHIND).every((bands) => loudness(bands) > SILENCE)) return false;
  const at = energies.slice(BEHIND, BEHIND + STAYS_PART);
  return meanLoudness(energies.slice(-STAYS_PART)) > STAYS * meanLoudness(at);
}

function loudness(bands: Float64Array): number {
  let sum = 0;
  for (let b = 0; b < BANDS; b++) sum += bands[b]!;
  return sum;
}

const meanLoudness = (frames: readonly Float64Array[]): number =>
  frames.reduce((sum, bands) => sum + loudness(bands), 0) / frames.length;

/** The frames in which a strike in the middle begins and is loudest. */
const AROUND = { from: BEHIND - NOW - GAP - BEFORE, to: BEHIND + LOUDEST_WITHIN } as const;
const MIDDLE = BEHIND - AROUND.from;

/** The loudest of these frames from the rise on. */
function loudest(loud: readonly number[]): number {
  let top = MIDDLE - NOW;
  for (let k = top; k < loud.length; k++) if (loud[k]! > loud[top]!) top = k;
  return top;
}

/** The frame in which its rise begins: the first one above a tenth of it over what was quietest just before. */
function beginning(loud: readonly number[], top: number): number {
  let before = Infinity;
  for (let k = 0; k < MIDDLE; k++) before = Math.min(before, loud[k]!);
  const mark = before + BEGINS_AT * (loud[top]! - before);
  let at = top;
  while (at > 0 && loud[at - 1]! > mark) at -= 1;
  return at;
}

/**
 * The strikes in a whole sound.
 *
 * @example
 * detectStrikes({ sampleRate: 8000, samples: new Float32Array(8000) }).length // 0
 */
export function detectStrikes(
  { sampleRate, samples }: { readonly sampleRate: number; readonly samples: ArrayLike<number> },
  setting: DetectorSetting = {},
): LoudOnset[] {
  const detector = new StrikeDetector(sampleRate, setting);
  return [...detector.push(samples), ...detector.end()];
}
