import { RECIPE_KINDS, type RecipeKind, type VariantRecipe } from '@eurhythm/core/teach';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsObject,
  IsString,
  ValidateNested,
} from 'class-validator';
import {
  IsCount,
  IsLineText,
  IsOneOf,
  IsOwnId,
  IsPlainName,
  IsPlainText,
  IsShaped,
  IsTempo,
  IsText,
  IsTexts,
  IsWholeWithin,
  IsWithin,
  IsYesNo,
  MayBeMissing,
  MayBeNull,
} from '../rules/index.ts';
import { BAR_LIMITS, CYCLE_LIMITS } from './analysis.ts';

/** A combo that is a form of another one: it follows that one's line until its own is edited. */
export class VariantDto implements VariantRecipe {
  @IsOwnId('the parent')
  parentId!: string;

  @IsOneOf('the kind of variant', RECIPE_KINDS)
  kind!: RecipeKind;

  @MayBeNull()
  @IsWholeWithin('the step', 0, 200, '')
  step: number | null = null;
}

export class SaveComboDto {
  @IsOwnId('the grade')
  gradeId!: string;

  @IsWholeWithin('the number', 1, 99, '')
  number!: number;

  @IsPlainName('the title')
  title!: string;

  @IsLineText()
  line!: string;

  @IsTempo()
  bpm!: number;

  @IsWholeWithin('the bar', BAR_LIMITS.min, BAR_LIMITS.max, 'beats')
  beatsPerBar!: number;

  @IsPlainText('the note', 2000)
  notes!: string;

  @IsBoolean({ message: 'Both leads is yes or no.' })
  bothLeads!: boolean;

  /** What to look at, a word or two each. */
  @MayBeMissing()
  @IsArray({ message: 'The focus words are a list.' })
  @ArrayMaxSize(8, { message: 'A combo has at most eight focus words.' })
  @IsPlainName('a focus word', 24, { each: true })
  focus: string[] = [];

  /** Length of one time through; without it the last impact and its recovery, rounded up to the bar. */
  @MayBeNull()
  @IsWithin('the cycle', CYCLE_LIMITS.min, CYCLE_LIMITS.max, 'beats')
  cycleBeats: number | null = null;

  /** Contact with a partner, round by round, in percent of full power; empty when nothing is planned. */
  @MayBeMissing()
  @IsArray({ message: 'The contact plan is a list.' })
  @ArrayMaxSize(8, { message: 'A contact plan has at most eight steps.' })
  @IsWholeWithin('a step of contact', 0, 100, 'percent', { each: true })
  contact: number[] = [];

  /** The combo that this one is a form of, and how it is made from it. */
  @MayBeNull()
  @IsObject({ message: 'A form has its recipe and its combo.' })
  @ValidateNested()
  @Type(() => VariantDto)
  variant: VariantDto | null = null;
}

/** The order of a grade's combos; they take its numbers in this order. */
export class OrderCombosDto {
  @IsOwnId('the grade')
  gradeId!: string;

  @IsArray({ message: 'The order is a list of combos.' })
  @ArrayUnique({ message: 'A combo stands twice in this order.' })
  @ArrayMaxSize(99, { message: 'A grade has at most 99 combos.' })
  @IsString({ each: true, message: 'The order is a list of combos.' })
  ids!: string[];
}

export class ComboView extends SaveComboDto {
  @IsText()
  readonly id!: string;

  /** Name of its grade. */
  @IsText()
  readonly grade!: string;

  @IsText()
  readonly updatedAt!: string;

  @IsCount()
  readonly version!: number;

  /** There when it is only still used somewhere: readable, but not offered any more. */
  @MayBeMissing()
  @IsYesNo()
  readonly retired?: boolean;
}

/** A state in which a combo was saved. */
export class ComboVersion {
  @IsText()
  readonly at!: string;

  @IsShaped(() => SaveComboDto)
  readonly combo!: SaveComboDto;
}

/** Which combos are listed. */
export class CombosQuery {
  /** "with" for those too that are only still used somewhere. */
  @MayBeMissing()
  @IsOneOf('the retired combos', ['with'])
  retired?: 'with';
}

/** What stands in for a combo or a move, everywhere at once. */
export class StandInDto {
  @IsOwnId('the stand-in')
  by!: string;
}

/** Where it stands in now, and where the other one is still used. */
export class StoodIn {
  @IsTexts()
  readonly changed!: readonly string[];

  @IsTexts()
  readonly left!: readonly string[];
}

/** Where something is used, in words. */
export class UsesView {
  @IsTexts()
  readonly usedBy!: readonly string[];
}
