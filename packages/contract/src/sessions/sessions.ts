import { PHASES, ROUND_LIMITS, TIME_CALLS, type Phase, type TimeCall } from '@eurhythm/core/rounds';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  IsArray,
  IsIn,
  IsObject,
  ValidateBy,
  ValidateNested,
} from 'class-validator';
import { IsGroupName, TOO_MANY_GROUPS, TypedBlocks, type AnyBlockDto } from '../blocks/index.ts';
import {
  IsAmount,
  IsCount,
  IsInstant,
  IsListOf,
  IsListed,
  IsOneOf,
  IsOwnId,
  IsPlainName,
  IsPlainLine,
  IsText,
  IsWholeWithin,
  LEADS,
  MayBeMissing,
  MayBeNull,
  OrNull,
  PageEnd,
} from '../rules/index.ts';

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
  @IsGroupName()
  name!: string;

  @IsArray({ message: 'The grades of a group are a list.' })
  @ArrayMaxSize(40, { message: 'A group has at most 40 grades.' })
  @IsOwnId('a grade', { each: true })
  gradeIds!: string[];
}

/** A list whose things last no longer than this together; what is no list is known by another rule. */
function LastsAtMost(
  message: string,
  most: number,
  secondsOf: (list: readonly unknown[]) => number,
): PropertyDecorator {
  const validate = (value: unknown): boolean => !Array.isArray(value) || secondsOf(value) <= most;
  return ValidateBy({ name: 'lastsAtMost', validator: { validate } }, { message });
}

/** Seconds of blocks, as far as they are right. */
function secondsOfBlocks(blocks: readonly unknown[]): number {
  return blocks.reduce<number>((sum, block) => {
    const seconds = (block as { readonly seconds?: unknown } | null)?.seconds;
    return sum + (typeof seconds === 'number' && seconds > 0 ? seconds : 0);
  }, 0);
}

/** Seconds of rounds as often as they are held, as far as they are right. */
function secondsOfRounds(rounds: readonly unknown[]): number {
  return rounds.reduce<number>((sum, round) => {
    const { blocks, series } = (round ?? {}) as { blocks?: unknown; series?: { times?: unknown } | null };
    const times = typeof series?.times === 'number' ? series.times : 1;
    return sum + (Array.isArray(blocks) ? times * secondsOfBlocks(blocks) : 0);
  }, 0);
}

/** The blocks of a round. */
export function IsBlocks(): PropertyDecorator {
  return (target, key) => {
    IsArray({ message: 'The blocks are a list.' })(target, key);
    ArrayMinSize(1, { message: 'A round needs at least one block.' })(target, key);
    ArrayMaxSize(ROUND_LIMITS.blocks, { message: `A round holds at most ${ROUND_LIMITS.blocks} blocks.` })(
      target,
      key,
    );
    LastsAtMost('A round lasts at most two hours.', ROUND_LIMITS.roundSeconds, secondsOfBlocks)(target, key);
    ValidateNested({ each: true })(target, key);
    TypedBlocks()(target, key);
  };
}

/** What is called out about the time in a round; the usual calls without it. */
export function IsTimeCalls(): PropertyDecorator {
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

  @IsBlocks()
  blocks!: AnyBlockDto[];

  @MayBeNull()
  @IsObject({ message: 'A series has its id and its times.' })
  @ValidateNested()
  @Type(() => SeriesDto)
  series?: SeriesDto | null;

  @IsTimeCalls()
  timeCalls?: TimeCall[];

  /** How many stand together and take turns: alone, by two or by three; nobody changes roles without it. */
  @MayBeNull()
  @IsIn([1, 2, 3], { message: 'A round is done alone, by two or by three.' })
  turns?: 1 | 2 | 3 | null;

  /** How hard it is meant to be, from 1 to 10. */
  @MayBeNull()
  @IsWholeWithin('the effort', 1, 10, '')
  effort?: number | null;
}

export class SaveSessionDto {
  @IsPlainName('the title')
  title!: string;

  @IsOneOf('the lead', LEADS)
  lead!: 'left' | 'right';

  @MayBeNull()
  @IsInstant('the date')
  plannedFor?: string | null;

  /** The word of the day, said now and then and answered by everybody; empty for none. */
  @MayBeMissing()
  @IsPlainLine('the word of the day', 40)
  word?: string;

  /** The groups that the class is split into; without any, everybody is one. */
  @MayBeMissing()
  @IsListOf('the groups', () => ClassGroupDto, { most: ROUND_LIMITS.groups, tooMany: TOO_MANY_GROUPS })
  @ArrayUnique((group: ClassGroupDto) => group?.name?.trim?.().toLowerCase(), {
    message: 'Two groups have the same name.',
  })
  groups?: ClassGroupDto[];

  @IsArray({ message: 'The rounds are a list.' })
  @ArrayMinSize(1, { message: 'A session needs at least one round.' })
  @ArrayMaxSize(MOST_ROUNDS, { message: `A session holds at most ${MOST_ROUNDS} rounds.` })
  @LastsAtMost('A session lasts at most eight hours.', ROUND_LIMITS.sessionSeconds, secondsOfRounds)
  @ValidateNested({ each: true })
  @Type(() => RoundDto)
  rounds!: RoundDto[];
}

export class SessionSummary {
  @IsText()
  readonly id!: string;

  @IsText()
  readonly title!: string;

  @OrNull()
  @IsText()
  readonly plannedFor!: string | null;

  /** Rounds as often as they are held, and their time. */
  @IsCount()
  readonly rounds!: number;

  @IsAmount()
  readonly seconds!: number;
}

export class SessionPage extends PageEnd {
  @IsListed(() => SessionSummary)
  readonly items!: readonly SessionSummary[];
}

export class SessionView extends SaveSessionDto {
  @IsText()
  readonly id!: string;

  @OrNull()
  @IsText()
  declare readonly plannedFor: string | null;

  @IsCount()
  readonly version!: number;
}
