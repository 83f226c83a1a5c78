import type { Seconds } from '../../../units/index.ts';
import type { BlockBase, Sides } from '../blockBase.ts';

/** Stretches and stances that are held, with the end counted down. */
export interface HoldBlock extends BlockBase {
  readonly kind: 'hold';
  readonly title: string;
  readonly holdSeconds: Seconds;
  readonly sides: Sides;
  readonly times: number;
}
