import type { TempoShift } from '@eurhythm/core/rounds';
import type { RoundToPlay } from '@eurhythm/core/run';

type Compile = (round: number, shifts: readonly TempoShift[]) => Promise<RoundToPlay>;

/** The rounds of a run as they are played: at their planned tempo, at one that was taken for them before they began, or changed since. */
export class CompiledRounds {
  all: readonly RoundToPlay[] = [];
  private planned: readonly RoundToPlay[] = [];
  private readonly advised = new Map<number, RoundToPlay>();
  private readonly compile: Compile;

  constructor(compile: Compile) {
    this.compile = compile;
  }

  /** Compiles so many rounds, and those again whose tempo was changed, by their places. */
  async load(count: number, shifted: ReadonlyMap<number, readonly TempoShift[]>): Promise<void> {
    this.planned = await Promise.all(Array.from({ length: count }, (_, i) => this.compile(i, [])));
    this.all = await Promise.all(
      this.planned.map((round, i) => {
        const shifts = shifted.get(i);
        return shifts ? this.compile(i, shifts) : round;
      }),
    );
    for (const [i, shifts] of shifted)
      if (shifts.every(({ from }) => from === 0)) this.advised.set(i, this.all[i]!);
  }

  replace(round: number, by: RoundToPlay): void {
    this.all = this.all.with(round, by);
  }

  /** Another tempo was taken for a round before it began. */
  advise(round: number, by: RoundToPlay): void {
    this.advised.set(round, by);
    this.replace(round, by);
  }

  /** A round that begins anew goes as it was planned, or as was taken for it before. */
  reset(round: number): void {
    this.replace(round, this.advised.get(round) ?? this.planned[round]!);
  }
}
