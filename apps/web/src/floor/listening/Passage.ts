import { thousandths, type Seconds } from '@eurhythm/core/units';

/** What is told later than this is told late, and something may have changed since it was heard. */
const LATE: Seconds = 1;
/** What is played goes on where it stands no farther than this from where it would have come by itself. */
const GOES_ON: Seconds = 0.1;

/** Where in what is played strikes lay that are told by the page's clock, also those that are told late. */
export class Passage {
  private what: unknown = null;
  /** Since when it went on without a stop or a jump; never, while it stands still. */
  private since: Seconds = Infinity;
  /** The position without what the page's clock shows. */
  private ahead: Seconds = 0;

  /** What is played stands here now, by the page's clock; null while it stands still. To be told a few times a second. */
  stands(what: unknown, position: Seconds | null, now: Seconds): void {
    const ahead = (position ?? 0) - now;
    const goesOn = what === this.what && this.since < Infinity && Math.abs(ahead - this.ahead) < GOES_ON;
    this.what = what;
    this.ahead = ahead;
    if (position === null) this.since = Infinity;
    else if (!goesOn) this.since = now;
  }

  /** Where it stood at an instant, in thousandths; null where it stood still, had not begun, or was elsewhere. */
  at(instant: Seconds, now: Seconds): Seconds | null {
    if (this.since === Infinity || (now - instant > LATE && instant < this.since)) return null;
    const position = instant + this.ahead;
    return position < 0 ? null : thousandths(position);
  }
}
