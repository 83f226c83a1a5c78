import { Type } from 'class-transformer';
import { ArrayMaxSize, ArrayUnique, IsArray, IsBoolean, ValidateNested } from 'class-validator';
import {
  IsCount,
  IsDay,
  IsListed,
  IsOwnId,
  IsPlainName,
  IsText,
  IsTexts,
  IsYesNo,
  OrNull,
} from '../rules/index.ts';

/** Somebody who is to be tested, and for which grade. */
export class CandidateDto {
  @IsOwnId('a fighter')
  fighterId!: string;

  @IsOwnId('the grade')
  gradeId!: string;
}

/** A day on which grades are tested. Nobody has a grade from it: the sheets are signed on the day or after it. */
export class SaveGradingDayDto {
  @IsPlainName('the title')
  title!: string;

  @IsDay()
  day!: string;

  @IsArray({ message: 'The candidates are a list.' })
  @ArrayMaxSize(200, { message: 'A grading has at most 200 candidates.' })
  @ArrayUnique((candidate: CandidateDto) => candidate?.fighterId, {
    message: 'Somebody stands twice among the candidates.',
  })
  @ValidateNested({ each: true })
  @Type(() => CandidateDto)
  candidates!: CandidateDto[];

  @IsBoolean({ message: 'Whether it was held is yes or no.' })
  held!: boolean;
}

/** A candidate as the day stands. */
export class CandidateView extends CandidateDto {
  @IsText()
  readonly name!: string;

  @IsText()
  readonly grade!: string;

  /** What the check still asks for; empty where all is there, or nothing is asked. */
  @IsTexts()
  readonly lacks!: readonly string[];

  /** Classes of the calendar until then that are for the own grade. */
  @IsCount()
  readonly classesPlanned!: number;

  /** Classes that it will be at the rate of the last weeks, where the calendar has fewer. */
  @IsCount()
  readonly classesUsual!: number;

  /** How it came out: signed since the day; null while nobody signed. */
  @OrNull()
  @IsYesNo()
  readonly passed!: boolean | null;
}

export class GradingDayView extends SaveGradingDayDto {
  @IsText()
  readonly id!: string;

  @IsCount()
  readonly version!: number;

  @IsListed(() => CandidateView)
  declare readonly candidates: CandidateView[];
}

export class GradingDayList {
  @IsListed(() => GradingDayView)
  readonly items!: readonly GradingDayView[];
}
