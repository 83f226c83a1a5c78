import { SIDES, type HoldBlock, type Sides } from '@eurhythm/core/rounds';
import { IsOneOf, IsPlainName, IsWholeWithin, IsWithin, MayBeNull } from '../rules/index.ts';
import { BlockDto } from './blockBase.ts';

export class HoldBlockDto extends BlockDto implements HoldBlock {
  declare kind: 'hold';

  @IsPlainName('what is held')
  title!: string;

  @IsWithin('the time of a hold', 3, 600, 'seconds')
  holdSeconds!: number;

  @IsOneOf('the side plan', SIDES)
  sides!: Sides;

  @IsWholeWithin('the number of times', 1, 20, '')
  times!: number;

  @MayBeNull()
  @IsWithin('the time to relax', 2, 120, 'seconds')
  relaxSeconds?: number | null;
}
