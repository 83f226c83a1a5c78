import type { Seconds } from '../../../units/index.ts';
import type { BlockBase, Sides } from '../blockBase.ts';

/** Stretches and stances that are held, with the end counted down. */
export interface HoldBlock extends BlockBase {
  readonly kind: 'hold';
  readonly title: string;
  readonly holdSeconds: Seconds;
  readonly sides: Sides;
  readonly times: number;
  /** After each hold so long to let go: said "go" and "relax"; null or missing for a hold that is only held. */
  readonly relaxSeconds?: Seconds | null | undefined;
}
