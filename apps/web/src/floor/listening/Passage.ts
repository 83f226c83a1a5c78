import { thousandths, type Seconds } from '@eurhythm/core/units';

/** Nothing is told later than this: half a minute is heard again beside half a minute that comes. */
const REMEMBERED: Seconds = 90;
/** Going back by more than this is beginning anew. */
const BACK: Seconds = 1;

/** How a round was seen at an instant of the page's clock; it has no position while it stands still. */
interface Look {
  readonly round: number;
  readonly position: Seconds | null;
  readonly now: Seconds;
}

/** Where strikes lay that are told by the page's clock: in which round, and where in it, however late they are told. */
export class Passage {
  private looks: readonly Look[] = [];
  /** How far each round was gone through when it was seen last. */
  private readonly reached = new Map<number, Seconds>();

  /**
   * What is played stands here now, by the page's clock; null while it stands still. To be told a few times a second. Gives whether the
   * round is being begun anew, though others came in between.
   */
  stands(round: number, position: Seconds | null, now: Seconds): boolean {
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
      if (!look || look.position === null) continue;
      const at = look.position + (instant - look.now);
      const later = this.looks.slice(this.looks.indexOf(look));
      const isAnew = later.some(
        ({ round, position }) => round === look.round && position !== null && position < at - BACK,
      );
      if (at >= 0 && !isAnew) return { round: look.round, at: thousandths(at) };
    }
    return null;
  }
}
