import type { Seconds } from '../../../units/index.ts';
import type { BlockBase, Sides } from '../blockBase.ts';
import type { GroupReps } from '../counting.ts';

/** An exercise by repetitions, counted, or by the clock when there are none. */
export interface ConditionBlock extends BlockBase {
  readonly kind: 'condition';
  readonly title: string;
  readonly reps: number | null;
  readonly groups: readonly GroupReps[];
  readonly repSeconds: Seconds;
  /** Whether each side of the body does it; once where nothing is said. */
  readonly sides?: Sides | undefined;
}

/** An exercise as a coach would begin it. */
export const USUAL_CONDITION_BLOCK = {
  kind: 'condition',
  seconds: 33,
  title: 'Squats',
  reps: 15,
  groups: [],
  repSeconds: 2,
  sides: 'one',
} as const satisfies Omit<ConditionBlock, 'id'>;
