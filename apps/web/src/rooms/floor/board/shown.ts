import type { RoundToPlay } from '@eurhythm/core/run';
import type { Seconds } from '@eurhythm/core/units';
import type { FighterView, RunView } from '@eurhythm/contract';

/** As much of a run as a board shows; a joined device has no more of it. */
export type ShownRun = Pick<RunView, 'rounds' | 'partners'>;
export type Person = Pick<FighterView, 'id' | 'name'>;

/** What plays a run, or follows one that another device plays. */
export interface ShownController {
  readonly rounds: readonly RoundToPlay[];
  /** Where the round that is shown stands now. */
  readonly position: Seconds;
  readonly audible: boolean;
}
