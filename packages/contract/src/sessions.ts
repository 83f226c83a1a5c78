import { ROUND_LIMITS } from '@eurhythm/core/rounds';
import type { BlockCombo, CompiledRound } from '@eurhythm/core/rounds';
import { Type } from 'class-transformer';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsISO8601, IsOptional, ValidateNested } from 'class-validator';
import { TypedBlocks, type AnyBlockDto } from './blocks.ts';
import { IsOneOf, IsOwnId, IsPlainName, IsPlainText, IsWholeWithin, IsWithin, LEADS } from './fields.ts';
import { VOICES, type VoiceId } from './voice.ts';

/** What a round is for, in the order of a class. */
export const ROUND_KINDS = [
  'warm-up',
  'technique',
  'combos',
  'pads',
  'shadow',
  'conditioning',
  'stretch',
] as const;
export type RoundKind = (typeof ROUND_KINDS)[number];
const MOST_ROUNDS = 100;

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
}

export class SaveSessionDto {
  @IsPlainName('the title')
  title!: string;

  @IsOneOf('the lead', LEADS)
  lead!: 'left' | 'right';

  @IsOptional()
  @IsISO8601({ strict: true }, { message: 'The date is written like 2026-03-05T18:30:00Z.' })
  plannedFor?: string | null;

  /** The word of the day, said now and then and answered by everybody; empty for none. */
  @IsOptional()
  @IsPlainText('the word of the day', 40)
  word?: string;

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
  @IsOptional()
  @IsOneOf('the voice', VOICES)
  voice?: VoiceId;

  @IsOptional()
  @IsPlainText('the word of the day', 40)
  word?: string;

  /** Changes of tempo made while the round runs. */
  @IsOptional()
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
