import type { Bpm } from '../../../units/index.ts';
import type { PickedCombo } from './pickCombos.ts';

/** One clock serves two groups where neither goes slower than this share of its own tempo. */
const ONE_CLOCK = 0.8;
/** What is all of the theme may come so much more often than what has nothing of it. */
const OF_THEME = 1.5;

/**
 * What speaks against a combo just now (our own choice): that it came already, that it came with the same other one, that it is less needed,
 * and that its tempo is another one than the clock's. A tempo of its own only delays it: what is new and slow must not be left out for good.
 */
const COST = { often: 1, again: 0.6, place: 0.12, far: 0.9 } as const;

/** Of so many that are needed most, one is learnt whose tempo goes with the clock. */
const FIRST = 3;

interface Used {
  /** How often each combo was in a round, by its place. */
  readonly times: readonly number[];
  /** Places that were together in a round, and those that were learnt. */
  readonly pairs: ReadonlySet<string>;
  readonly learnt: ReadonlySet<number>;
}

/** The combos of one group in the order in which they are needed: none comes again while another waits, nor with the same other one. */
export class ComboQueue {
  private readonly all: readonly PickedCombo[];
  private used: Used;

  constructor(all: readonly PickedCombo[]) {
    this.all = all;
    this.used = { times: all.map(() => 0), pairs: new Set(), learnt: new Set() };
  }

  get size(): number {
    return this.all.length;
  }

  /** The next combos, those whose tempo goes with `beside` if there are any; fewer where the group has no more of its own. */
  take(count: number, beside: Bpm | null = null): PickedCombo[] {
    const taken: number[] = [];
    while (taken.length < Math.min(count, this.all.length)) taken.push(this.next(taken, beside));
    const pairs = taken.slice(1).map((place) => pairOf(taken[0]!, place));
    this.used = {
      ...this.used,
      times: this.used.times.map((times, place) => times + (taken.includes(place) ? 1 : 0)),
      pairs: new Set([...this.used.pairs, ...pairs]),
    };
    return taken.map((place) => this.all[place]!);
  }

  /** The next one that has to be learnt, each once: what was loose, else what was never marked, else the next. */
  takeToLearn(beside: Bpm | null = null): PickedCombo | undefined {
    const open = this.all.map((_, place) => place).filter((place) => !this.used.learnt.has(place));
    const first = open.slice(0, FIRST);
    const fitting = first.filter((place) => beside === null || goesWith(this.all[place]!, beside));
    const among = fitting.length > 0 ? fitting : open;
    const next =
      among.find((place) => this.all[place]!.isLoose) ??
      among.find((place) => this.all[place]!.tempo.each.every(({ by }) => by !== 'marks')) ??
      among[0];
    if (next === undefined) return undefined;
    this.used = { ...this.used, learnt: new Set([...this.used.learnt, next]) };
    return this.all[next]!;
  }

  /** The queue as it stands, to be put back where a round does not fit after all. */
  save(): () => void {
    const kept = this.used;
    return () => {
      this.used = kept;
    };
  }

  private next(taken: readonly number[], beside: Bpm | null): number {
    const { times, pairs } = this.used;
    const open = this.all.map((_, place) => place).filter((place) => !taken.includes(place));
    const cost = (place: number): number => {
      const picked = this.all[place]!;
      const far = beside === null ? 0 : Math.abs(Math.log(picked.tempo.bpm / beside));
      const isFar = beside !== null && !goesWith(picked, beside);
      const isAgain = taken.length > 0 && pairs.has(pairOf(taken[0]!, place));
      const often = times[place]! / (1 + OF_THEME * picked.theme);
      return (
        (isFar ? COST.far + far : 0) + COST.often * often + (isAgain ? COST.again : 0) + COST.place * place
      );
    };
    return open.reduce((a, b) => (cost(b) < cost(a) ? b : a));
  }
}

const pairOf = (a: number, b: number): string => `${Math.min(a, b)} ${Math.max(a, b)}`;

const goesWith = ({ tempo }: PickedCombo, beside: Bpm): boolean =>
  Math.min(tempo.bpm, beside) >= ONE_CLOCK * Math.max(tempo.bpm, beside);
