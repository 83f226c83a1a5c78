import { MOST_COUNTED, type ConditionBlock } from '@eurhythm/core/rounds';
import { IsPlainName, IsWholeWithin, IsWithin, OrNull } from '../rules/index.ts';
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
}
