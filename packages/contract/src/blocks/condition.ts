import { MOST_COUNTED, SIDES, type ConditionBlock, type Sides } from '@eurhythm/core/rounds';
import { IsOneOf, IsPlainName, IsWholeWithin, IsWithin, MayBeMissing, OrNull } from '../rules/index.ts';
import { BlockDto, IsGroupRows, TitledGroupRepsDto } from './blockBase.ts';

export class ConditionBlockDto extends BlockDto implements ConditionBlock {
  declare kind: 'condition';

  @IsPlainName('the exercise')
  title!: string;

  @OrNull()
  @IsWholeWithin('the count', 1, MOST_COUNTED, 'repetitions')
  reps!: number | null;

  @IsGroupRows(TitledGroupRepsDto)
  groups: TitledGroupRepsDto[] = [];

  @IsWithin('the time of a repetition', 0.4, 30, 'seconds')
  repSeconds!: number;

  @MayBeMissing()
  @IsOneOf('the side plan', SIDES)
  sides?: Sides;
}
