import { clockDifference, type ClockDifference, type EpochMs, type RoundTrip } from '@eurhythm/core/run';

/** Asks another clock what it shows. */
export type AskClock = () => Promise<EpochMs>;

/** Right after coming in it is asked often, so that the first picture is right. */
const FIRST_TRIES = 15;
const FIRST_WAIT_MS = 100;
const WAIT_MS = 2000;
/** Clocks go apart slowly; what was found longer ago says less. */
const REMEMBERED = 30;

/** The time of this device's processor, which nobody sets, in milliseconds since 1970 by its clock when the page was opened. */
export const steadyNow = (): EpochMs => performance.timeOrigin + performance.now();

/** The server's clock as this device knows it, from repeated round trips. */
export class HallClock {
  private trips: readonly RoundTrip[] = [];
  private difference: ClockDifference | null = null;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private asked = 0;
  private readonly ask: AskClock;
  private readonly own: () => EpochMs;

  constructor(ask: AskClock, own: () => EpochMs = steadyNow) {
    this.ask = ask;
    this.own = own;
  }

  /** What the server's clock shows now; before the first answer this device's own. */
  now(): EpochMs {
    return this.own() + (this.difference?.ahead ?? 0);
  }

  /** By how much it can be wrong, in milliseconds; null before the first answer. */
  get within(): number | null {
    return this.difference?.within ?? null;
  }

  /** Asks again and again, often at first. */
  start(): void {
    this.stop();
    this.asked = 0;
    void this.goOn();
  }

  stop(): void {
    clearTimeout(this.timer);
    this.timer = undefined;
  }

  private async goOn(): Promise<void> {
    const sent = this.own();
    this.timer = setTimeout(() => void this.goOn(), this.asked < FIRST_TRIES ? FIRST_WAIT_MS : WAIT_MS);
    this.asked += 1;
    // A question that gets no answer says nothing.
    const answered = await this.ask().catch(() => null);
    if (answered === null) return;
    this.trips = [...this.trips, { sent, answered, came: this.own() }].slice(-REMEMBERED);
    this.difference = clockDifference(this.trips);
  }
}
