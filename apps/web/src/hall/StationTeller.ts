import { validOnsets } from '@eurhythm/core/strikes';
import type { Seconds } from '@eurhythm/core/units';
import type { StationHeardDto, StationKnownView } from '@eurhythm/contract';
import { MOST_TOLD } from '@eurhythm/contract';

export type StationStrike = StationHeardDto['strikes'][number];
/** What a station says of itself. */
export type StationSelf = Omit<StationHeardDto, 'round' | 'since' | 'strikes' | 'from'>;

/** Sends a message; null where it was not answered. */
export type SendHeard = (heard: StationHeardDto) => Promise<StationKnownView | null>;

/**
 * Tells the coach's device what a station hears, and again what it does not know: a lost message, a host that was loaded anew, a network
 * that was away lose nothing. Strikes of earlier rounds are told to their end before those of the present one.
 */
export class StationTeller {
  private readonly rounds = new Map<number, ReportedRound>();
  private self: StationSelf;
  /** What it says of itself has changed since it was reported. */
  private isNew = true;
  private isTelling = false;
  private round = 0;
  private readonly send: SendHeard;

  constructor(self: StationSelf, send: SendHeard) {
    this.self = self;
    this.send = send;
  }

  /** What this round is now; it may be told that nothing was heard of it yet. */
  enters(round: number): void {
    this.round = round;
    this.of(round);
    this.isNew = true;
  }

  /** A round begins anew: what was heard of it before is over. */
  again(round: number): void {
    this.rounds.delete(round);
    this.of(round);
  }

  /** It listens since this second of a round. */
  begins(round: number, from: Seconds): void {
    this.of(round).from = from;
    this.isNew = true;
  }

  hears(round: number, strike: StationStrike): void {
    this.of(round).strikes.push(strike);
  }

  says(self: StationSelf): void {
    this.self = self;
    this.isNew = true;
  }

  /** How many strikes of a round were heard, and how much of what is to be shown of it the host does not know yet. */
  countOf(round: number): { readonly heard: number; readonly waiting: number } {
    const { strikes, known } = this.of(round);
    return { heard: validOnsets(strikes).length, waiting: strikes.length - known };
  }

  /** Tells what is to be reported; one message at a time. */
  async tell(): Promise<void> {
    if (this.isTelling) return;
    const open = [...this.rounds].find(([, { strikes, known }]) => known < strikes.length);
    if (!open && !this.isNew) return;
    this.isTelling = true;
    const { isNew } = this;
    this.isNew = false;
    const [round, reported] = open ?? [this.round, this.of(this.round)];
    const { strikes, before, known } = reported;
    const answer = await this.send({
      ...this.self,
      round,
      from: reported.from,
      since: (before ?? 0) + known,
      // How many the host knows of an earlier life of this page is asked first.
      strikes: before === null ? [] : strikes.slice(known, known + MOST_TOLD),
    });
    this.isTelling = false;
    if (!answer) {
      this.isNew ||= isNew;
      return;
    }
    if (before === null || answer.known < before) reported.before = answer.known;
    reported.known = Math.max(0, Math.min(answer.known - reported.before!, strikes.length));
  }

  private of(round: number): ReportedRound {
    let of = this.rounds.get(round);
    if (!of) this.rounds.set(round, (of = { strikes: [], known: 0, before: null, from: 0 }));
    return of;
  }
}

interface ReportedRound {
  readonly strikes: StationStrike[];
  from: Seconds;
  /** How many of them the host knows. */
  known: number;
  /** How many it knew before the first of them, from this page before it was loaded anew; null until that was asked. */
  before: number | null;
}
