import { median } from 'simple-statistics';
import { thousandths, type Seconds } from '@eurhythm/core/units';

/** Nothing is reported later than this: half a minute is heard again beside half a minute that comes. */
const REMEMBERED: Seconds = 90;
/** Going back by more than this is beginning anew. */
const BACK: Seconds = 1;

/** Looks within so long of each other are believed together, where they differ by no more than the sound's clock may. */
const AROUND: Seconds = 3;
const SAME_COURSE: Seconds = 0.1;

/** How a round was seen at an instant of the page's clock; it has no position while it stands still. */
interface Look {
  readonly round: number;
  readonly position: Seconds | null;
  readonly now: Seconds;
}

/** Where strikes lay that are known by the page's clock: in which round, and where in it, however late they are reported. */
export class PositionHistory {
  private looks: readonly Look[] = [];
  /** How far each round was gone through when it was seen last. */
  private readonly reached = new Map<number, Seconds>();

  /**
   * What is played stands here now, by the page's clock; null while it stands still. To be reported a few times a second. Gives whether the
   * round is being begun anew, though others came in between.
   */
  note(round: number, position: Seconds | null, now: Seconds): boolean {
    this.looks = [...this.looks.filter((look) => now - look.now < REMEMBERED), { round, position, now }];
    if (position === null) return false;
    const reached = this.reached.get(round) ?? position;
    this.reached.set(round, position);
    return position < reached - BACK;
  }

  /** Where it stood at an instant, in thousandths; null where it stood still, had not begun, or was begun anew since. */
  at(instant: Seconds): { readonly round: number; readonly at: Seconds } | null {
    const next = this.looks.findIndex(({ now }) => now >= instant);
    if (next === 0) return null;
    const [before, after] = next < 0 ? [this.looks.at(-1)] : [this.looks[next - 1], this.looks[next]];
    // Between two looks it was seen last as the later one tells, unless that one had not begun.
    for (const look of [after, before]) {
      if (!hasPosition(look)) continue;
      const at = instant - this.zeroAround(look);
      const later = this.looks.slice(this.looks.indexOf(look));
      const isAnew = later.some(
        ({ round, position }) => round === look.round && position !== null && position < at - BACK,
      );
      if (at >= 0 && !isAnew) return { round: look.round, at: thousandths(at) };
    }
    return null;
  }

  /** When a round stood at 0, by the page's clock, as most looks at it say; null where it was never seen going on. */
  zeroOf(round: number): Seconds | null {
    const zeros = this.looks
      .filter(hasPosition)
      .flatMap((look) => (look.round === round ? [zero(look)] : []));
    return zeros.length === 0 ? null : median(zeros);
  }

  /** The same as the looks around one say: the clock of the sound goes in small steps, and the middle of them is believed. */
  private zeroAround(look: GoingOn): Seconds {
    const own = zero(look);
    const alike = this.looks
      .filter(hasPosition)
      .filter((other) => other.round === look.round && Math.abs(other.now - look.now) < AROUND)
      .map(zero)
      .filter((other) => Math.abs(other - own) < SAME_COURSE);
    return median(alike);
  }
}

type GoingOn = Look & { readonly position: Seconds };

const hasPosition = (look: Look | undefined): look is GoingOn => look !== undefined && look.position !== null;
const zero = ({ now, position }: GoingOn): Seconds => now - position;
