import type { MoveRisk, Side } from '@eurhythm/core/moves';
import { IsBoolean } from 'class-validator';
import { IsOneOf, IsPlainName, OrNull } from '../rules/index.ts';
import { LEVELS } from './choices.ts';

export const RISK_WEIGHTS = ['note', 'caution'] as const;
const RISK_SIDES = ['front', 'rear'] as const;

/** What a move lays open, reported at its uses. */
export class MoveRiskDto implements MoveRisk {
  @IsPlainName('the risk', 160)
  text!: string;

  @IsOneOf('the weight of a risk', RISK_WEIGHTS)
  severity!: (typeof RISK_WEIGHTS)[number];

  @OrNull()
  @IsOneOf('the side of a risk', RISK_SIDES)
  side!: Side | null;

  @OrNull()
  @IsOneOf('the level of a risk', LEVELS)
  level!: (typeof LEVELS)[number] | null;

  @IsBoolean({ message: 'A risk is muted or not.' })
  muted!: boolean;
}
