import { WEEK_KINDS, type WeekKind } from '@eurhythm/core/plan';
import { Type } from 'class-transformer';
import { ArrayMaxSize, ArrayMinSize, ArrayUnique, IsArray, Matches, ValidateNested } from 'class-validator';
import {
  IsAmong,
  IsAmount,
  IsCount,
  IsDay,
  IsListed,
  IsNotBelow,
  IsOneOf,
  IsOwnId,
  IsPlainLine,
  IsPlainName,
  IsText,
  IsTexts,
  IsWholeWithin,
  IsWithin,
  IsYesNo,
  MayBeMissing,
  OrNull,
} from '../rules/index.ts';

/** When a class is held every week. */
export class ClassTimeDto {
  /** 0 is Sunday, 6 is Saturday. */
  @IsWholeWithin('the day of the week', 0, 6, '')
  weekday!: number;

  @Matches(/^([01]\d|2[0-3]):[0-5]\d$/, { message: 'The time is written like 18:30.' })
  time!: string;
}

/** A week as a coach changed it. */
export class WeekEditDto {
  /** The first day of the week. */
  @IsDay()
  from!: string;

  @MayBeMissing()
  @IsPlainLine('the theme', 60)
  theme?: string;

  @MayBeMissing()
  @IsOneOf('the week', WEEK_KINDS)
  kind?: WeekKind;
}

export class SaveSeasonDto {
  @IsPlainName('the title')
  title!: string;

  @IsDay()
  from!: string;

  @IsDay()
  @IsNotBelow('from', 'The last day comes before the first one.')
  until!: string;

  /** The grading that it leads to; null for a season that ends on a day. */
  @OrNull()
  @IsOwnId('the grading')
  gradingDayId!: string | null;

  /** The grades that it is for. */
  @IsArray({ message: 'The grades are a list.' })
  @ArrayMinSize(1, { message: 'A season is for one grade at least.' })
  @ArrayMaxSize(12, { message: 'A season is for twelve grades at most.' })
  @IsOwnId('a grade', { each: true })
  gradeIds!: string[];

  @IsArray({ message: 'The classes are a list.' })
  @ArrayMinSize(1, { message: 'A season has one class a week at least.' })
  @ArrayMaxSize(14, { message: 'A season has fourteen classes a week at most.' })
  @ArrayUnique((each: ClassTimeDto) => `${each?.weekday} ${each?.time}`, {
    message: 'A class stands twice in this list.',
  })
  @ValidateNested({ each: true })
  @Type(() => ClassTimeDto)
  classes!: ClassTimeDto[];

  /** Of a class. */
  @IsWithin('the length', 5, 180, 'minutes')
  minutes!: number;

  @IsArray({ message: 'The changed weeks are a list.' })
  @ArrayMaxSize(60, { message: 'A season has at most a year of weeks.' })
  @ArrayUnique((each: WeekEditDto) => each?.from, { message: 'A week stands twice in this list.' })
  @ValidateNested({ each: true })
  @Type(() => WeekEditDto)
  edits!: WeekEditDto[];
}

/** What is kept of a season: its weeks are planned anew whenever they are looked at. */
export function keptSeason({
  title,
  from,
  until,
  gradingDayId,
  gradeIds,
  classes,
  minutes,
  edits,
}: SaveSeasonDto): SaveSeasonDto {
  return { title, from, until, gradingDayId, gradeIds, classes, minutes, edits };
}

export class SeasonClassView {
  @IsText()
  readonly at!: string;

  /** The session that is drafted for it; null where none is yet. */
  @OrNull()
  @IsText()
  readonly sessionId!: string | null;

  @OrNull()
  @IsText()
  readonly title!: string | null;

  @IsYesNo()
  readonly held!: boolean;

  /** Seconds of work, and strikes of one who does it all; 0 where nothing is drafted. */
  @IsAmount()
  readonly workSeconds!: number;

  @IsCount()
  readonly strikes!: number;
}

export class SeasonWeekView {
  @IsText()
  readonly from!: string;

  @IsText()
  readonly until!: string;

  @IsAmong(WEEK_KINDS)
  readonly kind!: WeekKind;

  @IsText()
  readonly theme!: string;

  @IsAmount()
  readonly load!: number;

  @IsAmount()
  readonly minutes!: number;

  @IsAmount()
  readonly contact!: number;

  /** Names of combos, as the class calls them. */
  @IsTexts()
  readonly introduced!: readonly string[];

  @IsTexts()
  readonly repeated!: readonly string[];

  @IsTexts()
  readonly tested!: readonly string[];

  /** Names of the combos of its classes that were held. */
  @IsTexts()
  readonly done!: readonly string[];

  /** Why, in one sentence; and what of its theme fits nothing in the gym. */
  @IsText()
  readonly why!: string;

  @IsListed(() => SeasonClassView)
  readonly classes!: readonly SeasonClassView[];
}

export class SeasonView extends SaveSeasonDto {
  @IsText()
  readonly id!: string;

  @IsCount()
  readonly version!: number;

  @IsListed(() => SeasonWeekView)
  readonly weeks!: readonly SeasonWeekView[];
}

export class SeasonList {
  @IsListed(() => SeasonView)
  readonly items!: readonly SeasonView[];
}

/** The week whose classes are drafted; every week that is still to come without it. */
export class DraftWeekDto {
  @MayBeMissing()
  @IsDay()
  week?: string;
}
