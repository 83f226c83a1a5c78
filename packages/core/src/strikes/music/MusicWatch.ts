import { powerSpectrum, type Sound } from '../../sound/index.ts';
import type { Seconds } from '../../units/index.ts';
import { Thinner } from '../detect/Thinner.ts';

/** What a tone is looked for in, half of it anew each time: fine enough to tell a voice, which glides, from a string. */
const LOOKED_AT: Seconds = 0.128;
/** Tones are looked for between these, in hertz: lower ones hum in any hall. */
const LOWEST = 180;
const HIGHEST = 4000;
/** A tone stands so far out of what is this near to it, in decibels and hertz, its own bins left out. */
const STANDS_OUT = 8;
const AROUND = 120;
const OWN_BINS = 2;
/** It stands still where it moves no farther than a bin for this long; what stands longer is a machine's. */
const DRIFTS = 1;
const STEADY: Seconds = 0.3;
const MACHINE: Seconds = 6;
/** It is music where a tone stood still in this share of so long: a voice does in at most 8 %, a guitar among strikes in 30. */
const WATCHED: Seconds = 12;
const SHARE = 0.2;
/**
 * And where new tones that were there so long in all began at so many instants, so far apart: all tones of a bell begin at once, and a pad
 * has one for a moment.
 */
const BEGINNINGS = 2;
const APART: Seconds = 0.25;
const LASTS: Seconds = 0.6;

/** One that was as near `bin` ever since, in so many looks; one look may miss it. */
interface Tone {
  readonly bin: number;
  readonly looks: number;
  readonly isMissed: boolean;
}

/**
 * Tells whether music plays where strikes are heard, by its tones: they stand still and then change, while a voice glides, a strike is
 * over at once, and a ventilator never stops (after K. Seyerlehner et al. 2007). A drum alone has no tone and is not reported.
 */
export class MusicWatch {
  private readonly thinner: Thinner;
  private readonly frame: Float64Array;
  private readonly window: Float64Array;
  private readonly hertz: number;
  private readonly look: Seconds;
  private filled = 0;
  private tones: readonly Tone[] = [];
  private readonly looks: boolean[] = [];
  /** The steady tones of lately, each pitch once, with the looks in which it was there first and last, and how many. */
  private pitches: { readonly bin: number; readonly first: number; last: number; looks: number }[] = [];
  private count = 0;
  private was = false;

  /** `sampleRate` in hertz, 8,000 to 192,000. */
  constructor(sampleRate: number) {
    this.thinner = new Thinner(sampleRate);
    const { rate } = this.thinner;
    const size = 2 ** Math.round(Math.log2(LOOKED_AT * rate));
    this.frame = new Float64Array(size);
    this.window = Float64Array.from({ length: size }, (_, i) => Math.sin((Math.PI * i) / size) ** 2);
    this.hertz = rate / size;
    this.look = size / 2 / rate;
  }

  /** Takes the next samples, −1 to 1. */
  push(samples: ArrayLike<number>): void {
    const piece = new Float64Array(samples);
    const count = this.thinner.run(piece, piece.length);
    const { frame } = this;
    for (let i = 0; i < count; i++) {
      frame[this.filled++] = piece[i]!;
      if (this.filled < frame.length) continue;
      this.listen();
      frame.copyWithin(0, frame.length / 2);
      this.filled = frame.length / 2;
    }
  }

  /** Whether music played in the last twelve seconds. */
  get isHeard(): boolean {
    const { looks, look } = this;
    const steady = looks.filter(Boolean).length * look;
    return steady >= SHARE * WATCHED && this.beginnings() >= BEGINNINGS;
  }

  /** Whether it ever played so far. */
  get wasHeard(): boolean {
    return this.was;
  }

  /** At how many instants new tones began. */
  private beginnings(): number {
    const lasting = this.pitches.filter(({ looks }) => looks * this.look >= LASTS);
    const from = lasting.map(({ first }) => first * this.look).sort((a, b) => a - b);
    return from.filter((at, i) => i === 0 || at - from[i - 1]! > APART).length;
  }

  private listen(): void {
    this.follow(this.peaks());
    const { look } = this;
    const steady = this.tones.filter(
      ({ looks, isMissed }) => !isMissed && looks * look >= STEADY && looks * look <= MACHINE,
    );
    this.count += 1;
    this.looks.push(steady.length > 0);
    if (this.looks.length * look > WATCHED) this.looks.shift();
    for (const { bin, looks } of steady) {
      const known = this.pitches.find((pitch) => Math.abs(pitch.bin - bin) <= 2 * DRIFTS);
      const pitch = known ?? { bin, first: this.count - looks, last: 0, looks: 0 };
      if (!known) this.pitches.push(pitch);
      pitch.last = this.count;
      pitch.looks += 1;
    }
    this.pitches = this.pitches.filter(({ last }) => (this.count - last) * look <= WATCHED);
    this.was ||= this.isHeard;
  }

  /** The tones go on with the peaks that are where they were; what is left of the peaks begins a tone. */
  private follow(peaks: readonly number[]): void {
    const left = new Set(peaks);
    const next: Tone[] = [];
    for (const tone of this.tones) {
      const same = [...left].find((bin) => Math.abs(bin - tone.bin) <= DRIFTS);
      if (same !== undefined) {
        left.delete(same);
        next.push({ bin: tone.bin, looks: tone.looks + 1, isMissed: false });
      } else if (!tone.isMissed && tone.looks > 1) next.push({ ...tone, isMissed: true });
    }
    this.tones = [...next, ...[...left].map((bin) => ({ bin, looks: 1, isMissed: false }))];
  }

  /** Where the spectrum of the frame stands out, in bins and parts of them. */
  private peaks(): number[] {
    const power = powerSpectrum(this.frame.map((sample, i) => sample * this.window[i]!));
    const around = Math.round(AROUND / this.hertz);
    const from = Math.max(around, Math.ceil(LOWEST / this.hertz));
    const to = Math.min(power.length - around - 1, Math.floor(HIGHEST / this.hertz));
    const least = 10 ** (STANDS_OUT / 10);
    const peaks: number[] = [];
    for (let bin = from; bin <= to; bin++) {
      const own = power[bin]!;
      if (own <= power[bin - 1]! || own < power[bin + 1]!) continue;
      let rest = 0;
      for (let k = bin - around; k <= bin + around; k++) if (Math.abs(k - bin) > OWN_BINS) rest += power[k]!;
      if (own * 2 * (around - OWN_BINS) > least * rest) peaks.push(bin + vertex(power, bin));
    }
    return peaks;
  }
}

/** How far from its highest bin a peak lies, by the parabola through three logarithms. */
function vertex(power: Float64Array, bin: number): number {
  const [a, b, c] = [bin - 1, bin, bin + 1].map((k) => Math.log(power[k]! + Number.MIN_VALUE)) as [
    number,
    number,
    number,
  ];
  return (a - c) / (2 * (a - 2 * b + c));
}

/**
 * Whether music plays for a while in a whole sound.
 *
 * @example
 * hasMusic({ sampleRate: 8000, samples: new Float32Array(8000) }) // false
 */
export function hasMusic({ sampleRate, samples }: Sound): boolean {
  const watch = new MusicWatch(sampleRate);
  for (let from = 0; from < samples.length && !watch.wasHeard; from += sampleRate)
    watch.push(samples.subarray(from, from + sampleRate));
  return watch.wasHeard;
}
