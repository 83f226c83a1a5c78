import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsString,
  MaxLength,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import { BlockDto, WaitDto } from './blockBase.ts';
import {
  IsOneOf,
  IsPlainName,
  IsPlainText,
  IsTempo,
  IsWholeWithin,
  IsWithin,
  MayBeMissing,
} from './fields.ts';

/** Most repetitions that are counted: the voice has words up to here. */
const MOST_REPS = 99;
/** A line is read whole, so that an over-long one gets the grammar's own sentence. */
const LINE_FLOOD = 20_000;

export class GroupRepsDto {
  @IsPlainName('the name of a group', 24)
  group!: string;

  @IsWholeWithin('the count of a group', 1, MOST_REPS, 'repetitions')
  reps!: number;
}

/** The groups of a class at once, each with a count of its own. */
function IsGroups(): PropertyDecorator {
  return (target, key) => {
    MayBeMissing()(target, key as string);
    IsArray({ message: 'The groups are a list.' })(target, key as string);
    ArrayMaxSize(6, { message: 'There are at most six groups.' })(target, key as string);
    ValidateNested({ each: true })(target, key as string);
    Type(() => GroupRepsDto)(target, key as string);
  };
}

/** A line that may be empty or is read by the grammar later. */
function IsLineText(what: string): PropertyDecorator {
  return (target, key) => {
    IsString({ message: `${what} is a text.` })(target, key as string);
    MaxLength(LINE_FLOOD, { message: 'This text is far too long for a line.' })(target, key as string);
  };
}

export class CountBlockDto extends BlockDto {
  declare kind: 'count';

  @IsPlainName('what is done')
  title!: string;

  @IsLineText('The line')
  line!: string;

  @IsWholeWithin('the count', 1, MOST_REPS, 'repetitions')
  reps!: number;

  @IsGroups()
  groups: GroupRepsDto[] = [];

  @IsOneOf('the sides', ['both', 'one'])
  sides!: 'both' | 'one';

  @IsWholeWithin('the number of sets', 1, 20, '')
  sets!: number;

  @IsWithin('the rest between sets', 0, 600, 'seconds')
  rest!: number;

  @ValidateIf((block: CountBlockDto) => block.repSeconds !== null)
  @IsWithin('the time of a repetition', 0.4, 30, 'seconds')
  repSeconds!: number | null;

  @IsOneOf('the way of counting', ['whole', 'parts', 'build-up'])
  method!: 'whole' | 'parts' | 'build-up';

  @IsOneOf('the direction of the count', ['up', 'down'])
  direction!: 'up' | 'down';

  @IsOneOf('the heights', ['fixed', 'in-turn', 'rising'])
  levels!: 'fixed' | 'in-turn' | 'rising';

  @IsOneOf('the place to start from', ['standing', 'kneeling', 'seated'])
  from!: 'standing' | 'kneeling' | 'seated';

  @IsBoolean({ message: 'A shout on the last one is yes or no.' })
  shoutLast!: boolean;
}

export class HoldBlockDto extends BlockDto {
  declare kind: 'hold';

  @IsPlainName('what is held')
  title!: string;

  @IsWithin('the time of a hold', 3, 600, 'seconds')
  holdSeconds!: number;

  @IsOneOf('the sides', ['both', 'one'])
  sides!: 'both' | 'one';

  @IsWholeWithin('the number of times', 1, 20, '')
  times!: number;
}

export class ReactBlockDto extends BlockDto {
  declare kind: 'react';

  @IsPlainText('the call', 40)
  call!: string;

  @IsLineText('The answer')
  line!: string;

  @ValidateNested()
  @Type(() => WaitDto)
  every!: WaitDto;

  @IsWithin('the regular part', 0, 3600, 'seconds')
  regular!: number;
}

export class FootworkBlockDto extends BlockDto {
  declare kind: 'footwork';

  @IsLineText('The step there')
  there!: string;

  @IsLineText('The step back')
  back!: string;

  @IsWholeWithin('the steps', 1, 20, '')
  steps!: number;

  @IsLineText('The strike')
  strike!: string;

  @ValidateIf((block: FootworkBlockDto) => block.room !== null)
  @IsWithin('the room', 0.5, 50, 'steps')
  room!: number | null;

  @IsTempo()
  bpm!: number;
}

export class ConditionBlockDto extends BlockDto {
  declare kind: 'condition';

  @IsPlainName('the exercise')
  title!: string;

  @ValidateIf((block: ConditionBlockDto) => block.reps !== null)
  @IsWholeWithin('the count', 1, MOST_REPS, 'repetitions')
  reps!: number | null;

  @IsGroups()
  groups: GroupRepsDto[] = [];

  @IsWithin('the time of a repetition', 0.4, 30, 'seconds')
  repSeconds!: number;
}

export class TalkBlockDto extends BlockDto {
  declare kind: 'talk';

  @IsPlainName('what it is about')
  title!: string;

  @IsPlainText('the notes', 2000)
  notes!: string;
}
