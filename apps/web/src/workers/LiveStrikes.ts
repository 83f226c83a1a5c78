import {
  MusicWatch,
  EchoAwareDetector,
  SampleClock,
  SideBySide,
  StrikeDetector,
  correctionsBy,
  type DetectorSetting,
  type Reprocessed,
  type LoudOnset,
  type OnsetReport,
} from '@eurhythm/core/strikes';
import { wavWithLosses } from '@eurhythm/core/formats';
import { joined, resample } from '@eurhythm/core/sound';
import type { Seconds } from '@eurhythm/core/units';

/** Sound is kept no finer than this, in samples a second: what is to be heard of a strike is below half of it. */
const KEPT_RATE = 16_000;
/** No more than so many seconds of it, with what was lost. */
const MOST_KEPT: Seconds = 300;

/** A strike that was reported is put elsewhere where it is off by more. */
const MOVED: Seconds = 0.005;

/** How it listens. */
export interface LiveWish {
  /** In hertz. */
  readonly sampleRate: number;
  readonly setting: DetectorSetting;
  readonly keepsSound: boolean;
  /** What the page plays is reported too, and is no strike. */
  readonly besideOwn: boolean;
  /** How loud each piece is, is reported. */
  readonly tellsLevel: boolean;
}

/** What is reported about a piece, where there is something to tell. */
export interface LiveNews {
  /** By the clock of the page; those that are withdrawn were reported before, and are no strikes. */
  readonly onsets: readonly (LoudOnset & OnsetReport)[];
  /** Music was heard lately. */
  readonly hasMusic: boolean;
  /** How much was lost so far, because the machine was busy. */
  readonly lost: Seconds;
  /** In decibels of full scale; silence is −100. */
  readonly level: number | null;
}

/** What was reported longer ago stays as it was. */
const CHANGEABLE: Seconds = 90;

/** A loss of so much is worth telling. */
const REPORTED_LOSS: Seconds = 0.1;

/** Listens to a microphone, and to what the page plays, and tells the strikes by the clock of the page. */
export class LiveStrikes {
  private readonly wish: LiveWish;
  private readonly tell: (news: LiveNews) => void;
  private readonly clock: SampleClock;
  private readonly music: MusicWatch;
  private readonly push: (samples: Float32Array) => LoudOnset[];
  private readonly pushOwn: (samples: Float32Array) => LoudOnset[];
  /** In seconds. */
  private readonly waiting: () => Seconds;
  private readonly kept: Float32Array[] = [];
  private keptCount = 0;
  private reportedMusic = false;
  private reportedLoss: Seconds = 0;
  private reportedUntil: Seconds = -Infinity;
  /** The latest onsets by the samples, and when they were told to be by the clock of the page. */
  private changeable: { readonly onset: LoudOnset; readonly instant: Seconds }[] = [];

  constructor(wish: LiveWish, tell: (news: LiveNews) => void) {
    const { sampleRate, setting, besideOwn } = wish;
    this.wish = wish;
    this.tell = tell;
    this.clock = new SampleClock(sampleRate);
    this.music = new MusicWatch(sampleRate);
    if (besideOwn) {
      const detector = new EchoAwareDetector(sampleRate, setting, (again) => this.change(again));
      const both = new SideBySide(sampleRate);
      this.push = (samples) => both.takeHeard(samples).flatMap(([heard, own]) => detector.push(heard, own));
      this.pushOwn = (samples) => both.takeOwn(samples).flatMap(([heard, own]) => detector.push(heard, own));
      this.waiting = () => both.waiting / sampleRate;
    } else {
      const detector = new StrikeDetector(sampleRate, setting);
      this.push = (samples) => detector.push(samples);
      this.pushOwn = () => [];
      this.waiting = () => 0;
    }
  }

  /** Takes what the microphone hears, and when it came by the clock of the page. */
  heard(samples: Float32Array, now: Seconds): void {
    this.clock.take(samples.length, now);
    this.putInPlace();
    this.keep(samples);
    this.music.push(samples);
    this.found(this.push(samples), this.wish.tellsLevel ? levelOf(samples) : null);
  }

  /** Takes what the page plays. */
  own(samples: Float32Array): void {
    this.found(this.pushOwn(samples), null);
  }

  /** Until when all was looked at, by the clock of the page. */
  get until(): Seconds {
    return this.reportedUntil;
  }

  /** The sound so far as a WAV file, silent where some was lost, and when it began by the clock of the page; null where none is kept. */
  get sound(): { readonly wav: Uint8Array<ArrayBuffer>; readonly from: Seconds } | null {
    const { keepsSound, sampleRate } = this.wish;
    if (!keepsSound) return null;
    const came = resample({ sampleRate, samples: joined(this.kept) }, Math.min(sampleRate, KEPT_RATE));
    return { wav: wavWithLosses(came, this.clock.losses), from: this.clock.instantOf(0) };
  }

  private keep(samples: Float32Array): void {
    const { keepsSound, sampleRate } = this.wish;
    if (!keepsSound || this.keptCount / sampleRate + this.clock.lost >= MOST_KEPT) return;
    this.kept.push(samples);
    this.keptCount += samples.length;
  }

  /** Strikes that were reported before it was known that something had been lost before them, or had only waited, lie elsewhere. */
  private putInPlace(): void {
    const moved = this.changeable
      .filter(({ onset, instant }) => Math.abs(this.clock.instantOf(onset.at) - instant) > MOVED)
      .map(({ onset }) => onset);
    this.replace(moved, moved);
  }

  /** What was reported about some seconds is put right. */
  private change(again: Reprocessed): void {
    const { withdrawn, added } = correctionsBy(
      this.changeable.map(({ onset }) => onset),
      again,
    );
    this.replace(withdrawn, added);
  }

  private replace(withdrawn: readonly LoudOnset[], added: readonly LoudOnset[]): void {
    if (withdrawn.length + added.length === 0) return;
    const isGone = ({ onset }: { onset: LoudOnset }): boolean => withdrawn.includes(onset);
    const gone = this.changeable.filter(isGone);
    const come = added.map((onset) => ({ onset, instant: this.clock.instantOf(onset.at) }));
    this.changeable = [...this.changeable.filter((each) => !isGone(each)), ...come].sort(
      (a, b) => a.onset.at - b.onset.at,
    );
    const onsets = [
      ...gone.map(({ onset, instant }) => ({ ...onset, at: instant, withdrawn: true })),
      ...come.map(({ onset, instant }) => ({ ...onset, at: instant })),
    ];
    this.tell({ onsets, hasMusic: this.reportedMusic, lost: this.reportedLoss, level: null });
  }

  private found(onsets: readonly LoudOnset[], level: number | null): void {
    const { clock, reportedMusic, reportedLoss } = this;
    const { isHeard: hasMusic } = this.music;
    const isToTell = onsets.length > 0 || level !== null || hasMusic !== reportedMusic;
    if (isToTell || Math.abs(clock.lost - reportedLoss) > REPORTED_LOSS) {
      this.reportedMusic = hasMusic;
      this.reportedLoss = clock.lost;
      const come = onsets.map((onset) => ({ onset, instant: clock.instantOf(onset.at) }));
      const byPage = come.map(({ onset, instant }) => ({ ...onset, at: instant }));
      this.changeable.push(...come);
      const old = (this.changeable.at(-1)?.onset.at ?? 0) - CHANGEABLE;
      this.changeable = this.changeable.filter(({ onset }) => onset.at >= old);
      this.tell({ onsets: byPage, hasMusic, lost: clock.lost, level });
    }
    this.reportedUntil = clock.until - this.waiting();
  }
}

/** Decibels of full scale of a piece; silence is −100. */
function levelOf(samples: Float32Array): number {
  let sum = 0;
  for (const sample of samples) sum += sample * sample;
  return Math.max(-100, 10 * Math.log10(sum / Math.max(1, samples.length) + 1e-10));
}
