import type { Seconds } from '@eurhythm/core/units';

export const MUSIC_HEARD =
  'Music is heard here, and its drum may be taken for strikes. Turn it off, or count by hand.';

export const HOLES_HEARD =
  'The sound of this microphone comes with holes, and strikes fall into them: this device is too busy. Close what else it does, or count by hand.';

/** Where more than this was lost within so long, it is reported. */
const MUCH_LOST: Seconds = 0.5;
const LATELY: Seconds = 60;

/** What is to be known of a microphone while it hears, the most pressing first; for as long as it is so. */
export class InputWarnings {
  private readonly tell: (what: string) => void;
  private reported = '';
  private always = '';
  private hasMusic = false;
  private lost: Seconds = 0;
  private losses: readonly { readonly at: Seconds; readonly seconds: Seconds }[] = [];

  /** `tell` gets what is to be known now, and an empty text when there is nothing more. */
  constructor(tell: (what: string) => void) {
    this.tell = tell;
  }

  /** Whether music is heard now; how much sound was lost in all until this instant, in seconds. */
  heard(hasMusic: boolean, lost: Seconds, at: Seconds): void {
    this.hasMusic = hasMusic;
    // What had only waited is taken back.
    if (lost !== this.lost) this.losses = [...this.losses, { at, seconds: lost - this.lost }];
    this.lost = lost;
    if (this.losses.length > 0) this.losses = this.losses.filter((loss) => at - loss.at < LATELY);
    this.say();
  }

  /** This is to be known all the while. */
  set(always: string): void {
    this.always = always;
    this.say();
  }

  private say(): void {
    const lately = this.losses.reduce((sum, loss) => sum + loss.seconds, 0);
    const what = lately > MUCH_LOST ? HOLES_HEARD : this.hasMusic ? MUSIC_HEARD : this.always;
    if (what === this.reported) return;
    this.reported = what;
    this.tell(what);
  }
}
