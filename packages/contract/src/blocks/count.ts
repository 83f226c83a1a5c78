import {
  COUNT_DIRECTIONS,
  COUNT_LEVELS,
  COUNT_METHODS,
  COUNT_STARTS,
  MOST_COUNTED,
  COUNT_SIDES,
  COUNT_SPEEDS,
  type CountBlock,
  type CountSpeed,
} from '@eurhythm/core/rounds';
import { ArrayMaxSize, IsArray, IsBoolean, IsIn } from 'class-validator';
import {
  IsLineText,
  IsOneOf,
  IsPlainName,
  IsWholeWithin,
  IsWithin,
  MayBeMissing,
  OrNull,
} from '../rules/index.ts';
import { BlockDto, IsGroupRows, OwnGroupRepsDto } from './blockBase.ts';

export class CountBlockDto extends BlockDto implements CountBlock {
  declare kind: 'count';

  @IsPlainName('what is done')
  title!: string;

  @IsLineText()
  line!: string;

  @IsWholeWithin('the count', 1, MOST_COUNTED, 'repetitions')
  reps!: number;

  @IsGroupRows(OwnGroupRepsDto)
  groups: OwnGroupRepsDto[] = [];

  @IsOneOf('the side plan', COUNT_SIDES)
  sides!: CountBlock['sides'];

  @IsWholeWithin('the number of sets', 1, 20, '')
  sets!: number;

  @IsWithin('the rest between sets', 0, 600, 'seconds')
  rest!: number;

  @OrNull()
  @IsWithin('the time of a repetition', 0.4, 30, 'seconds')
  repSeconds!: number | null;

  @MayBeMissing()
  @IsArray({ message: 'The speeds are a list.' })
  @ArrayMaxSize(20, { message: 'There are at most twenty speeds, one for each set.' })
  @IsIn(COUNT_SPEEDS, { each: true, message: `The speed of a set is one of: ${COUNT_SPEEDS.join(', ')}.` })
  speeds?: CountSpeed[];

  @MayBeMissing()
  @IsArray({ message: 'The contact plan is a list.' })
  @ArrayMaxSize(8, { message: 'A contact plan has at most eight steps.' })
  @IsWholeWithin('a step of contact', 0, 100, 'percent', { each: true })
  intensity?: number[];

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
