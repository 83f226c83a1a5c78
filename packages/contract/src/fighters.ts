import { ArrayMaxSize, IsArray, IsBoolean, ValidateIf } from 'class-validator';
import { IsOneOf, IsOwnId, IsPlainName, IsPlainText, IsWithin, MayBeMissing, LEADS } from './fields.ts';
import type { AttemptView, ResultView } from './runs.ts';

export class SaveFighterDto {
  @IsPlainName('the name')
  name!: string;

  @IsOwnId('the grade')
  gradeId!: string;

  @IsOneOf('the lead', LEADS)
  lead!: 'left' | 'right';

  @IsPlainText('the note', 500)
  note!: string;

  @IsBoolean({ message: 'Fit to train is yes or no.' })
  fit!: boolean;

  /** Height in centimetres, for partners of a size; null when nobody measured. */
  @ValidateIf((fighter: SaveFighterDto) => (fighter.height ?? null) !== null)
  @IsWithin('the height', 70, 230, 'cm')
  height?: number | null;

  /** Fighters who should not be partners of this one. */
  @MayBeMissing()
  @IsArray({ message: 'Those to be kept apart are a list.' })
  @ArrayMaxSize(20, { message: 'At most 20 others can be kept apart.' })
  @IsOwnId('a fighter', { each: true })
  apart?: string[];
}

export interface FighterView extends SaveFighterDto {
  readonly id: string;
  readonly grade: string;
}

export interface LoggedRound extends ResultView {
  readonly session: string;
  readonly title: string;
  readonly kind: string;
  readonly combos: readonly string[];
  readonly bpm: number | null;
}

export interface FighterLog {
  readonly fighter: FighterView;
  readonly rounds: readonly LoggedRound[];
  readonly attempts: readonly AttemptView[];
  readonly bursts: readonly {
    readonly title: string;
    readonly lead: 'left' | 'right';
    readonly best: number;
    readonly median: number;
    readonly trials: number;
  }[];
}
