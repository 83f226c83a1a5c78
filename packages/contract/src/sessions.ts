import { PHASES, ROUND_LIMITS, TIME_CALLS, type Phase, type TimeCall } from '@eurhythm/core/rounds';
import type { BlockCombo, CompiledRound } from '@eurhythm/core/rounds';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  IsArray,
  IsIn,
  IsOptional,
  ValidateNested,
} from 'class-validator';
import { TypedBlocks, type AnyBlockDto } from './blocks.ts';
import {
  IsInstant,
  IsOneOf,
  IsOwnId,
  IsPlainName,
  IsPlainText,
  IsWholeWithin,
  IsWithin,
  MayBeMissing,
  LEADS,
} from './fields.ts';
import { VOICES, type VoiceId } from './voice.ts';

export const ROUND_KINDS = PHASES;
export type RoundKind = Phase;
const MOST_ROUNDS = 100;

/** Rounds that stand next to each other with the same series are held in turn, so many times. */
export class SeriesDto {
  @IsOwnId('a series')
  id!: string;

  @IsWholeWithin('the times', 2, 20, '')
  times!: number;
}

/** A group of the class and the grades that are in it. */
export class ClassGroupDto {
  @IsPlainName('the name of a group', 24)
  name!: string;

  @IsArray({ message: 'The grades of a group are a list.' })
  @ArrayMaxSize(40, { message: 'A group has at most 40 grades.' })
  @IsOwnId('a grade', { each: true })
  gradeIds!: string[];
}

/** What is told of the time in a round; the usual calls without it. */
function IsTimeCalls(): PropertyDecorator {
  return (target, key) => {
    MayBeMissing()(target, key as string);
    IsArray({ message: 'The time calls are a list.' })(target, key as string);
    IsIn(TIME_CALLS, { each: true, message: `A time call is one of: ${TIME_CALLS.join(', ')}.` })(
      target,
      key as string,
    );
  };
}

export class RoundDto {
  @IsOwnId('a round')
  id!: string;

  @IsPlainName('the title of a round')
  title!: string;

  @IsOneOf('the kind of round', ROUND_KINDS)
  kind!: (typeof ROUND_KINDS)[number];

  @IsArray({ message: 'The blocks are a list.' })
  @ArrayMinSize(1, { message: 'A round needs at least one block.' })
  @ArrayMaxSize(ROUND_LIMITS.blocks, { message: `A round holds at most ${ROUND_LIMITS.blocks} blocks.` })
  @ValidateNested({ each: true })
  @TypedBlocks()
  blocks!: AnyBlockDto[];

  @IsOptional()
  @ValidateNested()
  @Type(() => SeriesDto)
  series?: SeriesDto | null;

  @IsTimeCalls()
  timeCalls?: TimeCall[];
}

export class SaveSessionDto {
  @IsPlainName('the title')
  title!: string;

  @IsOneOf('the lead', LEADS)
  lead!: 'left' | 'right';

  @IsOptional()
  @IsInstant('the date')
  plannedFor?: string | null;

  /** The word of the day, said now and then and answered by everybody; empty for none. */
  @MayBeMissing()
  @IsPlainText('the word of the day', 40)
  word?: string;

  /** The groups that the class is split into; without any, everybody is one. */
  @MayBeMissing()
  @IsArray({ message: 'The groups are a list.' })
  @ArrayMaxSize(6, { message: 'There are at most six groups.' })
  @ArrayUnique((group: ClassGroupDto) => group?.name?.trim?.().toLowerCase(), {
    message: 'Two groups have the same name.',
  })
  @ValidateNested({ each: true })
  @Type(() => ClassGroupDto)
  groups?: ClassGroupDto[];

  @IsArray({ message: 'The rounds are a list.' })
  @ArrayMinSize(1, { message: 'A session needs at least one round.' })
  @ArrayMaxSize(MOST_ROUNDS, { message: `A session holds at most ${MOST_ROUNDS} rounds.` })
  @ValidateNested({ each: true })
  @Type(() => RoundDto)
  rounds!: RoundDto[];
}

export interface SessionSummary {
  readonly id: string;
  readonly title: string;
  readonly plannedFor: string | null;
  /** Rounds as often as they are held, and their time. */
  readonly rounds: number;
  readonly seconds: number;
}

export interface SessionView extends Omit<SaveSessionDto, 'plannedFor'> {
  readonly id: string;
  readonly plannedFor: string | null;
}

export class TempoShiftDto {
  @IsWithin('the place of the change', 0, 36_000, 'seconds')
  from!: number;

  @IsWithin('the change of tempo', -200, 200, 'beats a minute')
  by!: number;
}

export class CompileRoundDto {
  @IsArray({ message: 'The blocks are a list.' })
  @ArrayMinSize(1, { message: 'A round needs at least one block.' })
  @ArrayMaxSize(ROUND_LIMITS.blocks, { message: `A round holds at most ${ROUND_LIMITS.blocks} blocks.` })
  @ValidateNested({ each: true })
  @TypedBlocks()
  blocks!: AnyBlockDto[];

  @IsOneOf('the lead', LEADS)
  lead!: 'left' | 'right';

  @IsWholeWithin('the seed', 0, 0xffffffff, '')
  seed!: number;

  /** Without it, the gym's own choice. */
  @MayBeMissing()
  @IsOneOf('the voice', VOICES)
  voice?: VoiceId;

  @MayBeMissing()
  @IsPlainText('the word of the day', 40)
  word?: string;

  @IsTimeCalls()
  timeCalls?: TimeCall[];

  /** Changes of tempo made while the round runs. */
  @MayBeMissing()
  @IsArray({ message: 'The changes of tempo are a list.' })
  @ArrayMaxSize(500, { message: 'There are at most 500 changes of tempo.' })
  @ValidateNested({ each: true })
  @Type(() => TempoShiftDto)
  shifts?: TempoShiftDto[];
}

/** A compiled round with the combos that its cues name. */
export interface CompiledRoundView extends CompiledRound {
  readonly combos: readonly BlockCombo[];
}
