import type { LineError } from '@eurhythm/core/line';
import { RECIPE_KINDS, type RecipeKind, type VariantRecipe } from '@eurhythm/core/teach';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsOptional,
  IsString,
  MaxLength,
  ValidateNested,
} from 'class-validator';
import {
  IsOneOf,
  IsOwnId,
  IsPlainName,
  IsPlainText,
  IsTempo,
  IsWholeWithin,
  IsWithin,
  MayBeMissing,
  LEADS,
} from './fields.ts';

export const PACES = ['novice', 'club', 'sharp'] as const;

/** A line is read whole, so that an over-long one gets the grammar's own sentence; this only stops floods. */
const LINE_FLOOD = 20_000;

export class AnalyseComboDto {
  @IsString({ message: 'The line is a text.' })
  @MaxLength(LINE_FLOOD, { message: 'This text is far too long for a line.' })
  line!: string;

  @IsOneOf('the lead', LEADS)
  lead!: 'left' | 'right';

  @MayBeMissing()
  @IsOneOf('the pace', PACES)
  pace?: (typeof PACES)[number];

  @MayBeMissing()
  @IsTempo()
  bpm?: number;

  /** For whom the line is; without it nobody's limits are asked. */
  @MayBeMissing()
  @IsOwnId('the grade')
  gradeId?: string;
}

/** A combo that is a form of another one: it follows that one's line until its own is edited. */
export class VariantDto implements VariantRecipe {
  @IsOwnId('the parent')
  parentId!: string;

  @IsOneOf('the kind of variant', RECIPE_KINDS)
  kind!: RecipeKind;

  @IsOptional()
  @IsWholeWithin('the step', 0, 200, '')
  step: number | null = null;
}

/** Beats in a bar. */
export const BAR_LIMITS = { min: 1, max: 12 } as const;

export class SaveComboDto {
  @IsOwnId('the grade')
  gradeId!: string;

  @IsWholeWithin('the number', 1, 99, '')
  number!: number;

  @IsPlainName('the title')
  title!: string;

  @IsString({ message: 'The line is a text.' })
  @MaxLength(LINE_FLOOD, { message: 'This text is far too long for a line.' })
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
  @IsOptional()
  @IsWithin('the cycle', 1, 64, 'beats')
  cycleBeats: number | null = null;

  /** Contact with a partner, round by round, in percent of full power; empty when nothing is planned. */
  @MayBeMissing()
  @IsArray({ message: 'The contact plan is a list.' })
  @ArrayMaxSize(8, { message: 'A contact plan has at most eight steps.' })
  @IsWholeWithin('a step of contact', 0, 100, 'percent', { each: true })
  contact: number[] = [];

  /** The combo that this one is a form of, and how it is made from it. */
  @IsOptional()
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

export interface ComboView extends SaveComboDto {
  readonly id: string;
  readonly grade: string;
  readonly updatedAt: string;
}

/** A state in which a combo was saved. */
export interface ComboVersion {
  readonly at: string;
  readonly combo: SaveComboDto;
}

/** One stroke as `POST /api/combos/analyse` tells it. Beats are exact fractions, "3/2". */
export interface StrokeView {
  readonly index: number;
  readonly text: string;
  readonly move: string;
  readonly by: 'fighter' | 'holder';
  readonly limb: string;
  readonly side: 'front' | 'rear' | null;
  readonly level: 'head' | 'body' | 'low' | null;
  readonly beat: string;
  readonly leadBefore: 'left' | 'right';
  readonly leadAfter: 'left' | 'right';
  readonly feint: boolean;
  readonly power: 'touch' | 'normal' | 'full';
  readonly conditional: boolean;
  readonly shout: boolean;
  readonly from: number;
  readonly to: number;
}

export interface LeadChangeView {
  readonly beat: string;
  readonly to: 'left' | 'right';
  readonly how: string;
}

export interface FindingView {
  readonly rule: string;
  readonly severity: 'note' | 'caution' | 'cannot';
  readonly from: number;
  readonly to: number;
  readonly strokes: readonly number[];
  readonly message: string;
}

export type AnalysisView =
  | {
      readonly ok: true;
      readonly beats: string;
      readonly strokes: readonly StrokeView[];
      readonly endLead: 'left' | 'right';
      readonly leadChanges: readonly LeadChangeView[];
      readonly fastestBpm: number | null;
      readonly limit: {
        readonly fromStroke: number;
        readonly toStroke: number;
        readonly seconds: number;
        readonly reason: string;
      } | null;
      readonly findings: readonly FindingView[];
    }
  | { readonly ok: false; readonly errors: readonly LineError[] };
