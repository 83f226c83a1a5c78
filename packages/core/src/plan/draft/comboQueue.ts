import type { Bpm } from '../../units/index.ts';
import type { PickedCombo } from './pickCombos.ts';

/** One clock serves two groups where neither goes slower than this share of its own tempo. */
const ONE_CLOCK = 0.8;

/** The combos of one group in the order in which they are needed; each comes once before any comes again. */
export class ComboQueue {
  private left: PickedCombo[];
  private readonly all: readonly PickedCombo[];

  constructor(all: readonly PickedCombo[]) {
    this.all = all;
    this.left = [...all];
  }

  /** The next combos, those first whose tempo goes with `beside`; fewer where the group has no more of its own. */
  take(count: number, beside: Bpm | null = null): PickedCombo[] {
    const taken: PickedCombo[] = [];
    while (taken.length < Math.min(count, this.all.length)) {
      if (this.left.length === 0) this.left = this.all.filter((each) => !taken.includes(each));
      const next =
        this.left.find(({ tempo }) => beside === null || goesWith(tempo.bpm, beside)) ??
        nearest(this.left, beside);
      this.left.splice(this.left.indexOf(next), 1);
      taken.push(next);
    }
    return taken;
  }

  /** The next one that has to be learnt: what was loose, else what has never been done cleanly, else the next. */
  takeToLearn(beside: Bpm | null = null): PickedCombo | undefined {
    const fits = this.left.filter(({ tempo }) => beside === null || goesWith(tempo.bpm, beside));
    const next =
      fits.find(({ isLoose }) => isLoose) ??
      fits.find(({ tempo }) => tempo.each.every(({ by }) => by !== 'marks'));
    if (!next) return this.take(1, beside)[0];
    this.left.splice(this.left.indexOf(next), 1);
    return next;
  }

  /** The queue as it stands, to be put back where a round does not fit after all. */
  save(): () => void {
    const kept = [...this.left];
    return () => {
      this.left = kept;
    };
  }
}

const goesWith = (own: Bpm, beside: Bpm): boolean =>
  Math.min(own, beside) >= ONE_CLOCK * Math.max(own, beside);

function nearest(left: readonly PickedCombo[], beside: Bpm | null): PickedCombo {
  if (beside === null) return left[0]!;
  const far = ({ tempo }: PickedCombo): number => Math.abs(Math.log(tempo.bpm / beside));
  return left.reduce((a, b) => (far(b) < far(a) - 1e-9 ? b : a));
}
