import {
  COUNT_DIRECTIONS,
  COUNT_LEVELS,
  COUNT_METHODS,
  COUNT_STARTS,
  MOST_COUNTED,
  SIDES,
  type CountBlock,
  type Sides,
} from '@eurhythm/core/rounds';
import { IsBoolean } from 'class-validator';
import { IsLineText, IsOneOf, IsPlainName, IsWholeWithin, IsWithin, OrNull } from '../rules/index.ts';
import { BlockDto, IsGroupReps, OwnGroupRepsDto } from './blockBase.ts';

export class CountBlockDto extends BlockDto implements CountBlock {
  declare kind: 'count';

  @IsPlainName('what is done')
  title!: string;

  @IsLineText()
  line!: string;

  @IsWholeWithin('the count', 1, MOST_COUNTED, 'repetitions')
  reps!: number;

  @IsGroupReps(OwnGroupRepsDto)
  groups: OwnGroupRepsDto[] = [];

  @IsOneOf('the side plan', SIDES)
  sides!: Sides;

  @IsWholeWithin('the number of sets', 1, 20, '')
  sets!: number;

  @IsWithin('the rest between sets', 0, 600, 'seconds')
  rest!: number;

  @OrNull()
  @IsWithin('the time of a repetition', 0.4, 30, 'seconds')
  repSeconds!: number | null;

  @IsOneOf('the way of counting', COUNT_METHODS)
  method!: CountBlock['method'];

  @IsOneOf('the direction of the count', COUNT_DIRECTIONS)
  direction!: CountBlock['direction'];

  @IsOneOf('the heights', COUNT_LEVELS)
  levels!: CountBlock['levels'];

  @IsOneOf('the place to start from', COUNT_STARTS)
  from!: CountBlock['from'];

  @IsBoolean({ message: 'A shout on the last one is yes or no.' })
  shoutLast!: boolean;
}
