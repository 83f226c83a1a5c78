import { WORK_LIMBS, type WorkLimb } from '@eurhythm/core/rounds';
import { ArrayMaxSize, ArrayUnique, IsArray, IsBoolean, IsIn } from 'class-validator';
import {
  IsAmount,
  IsCount,
  IsListed,
  IsOneOf,
  IsOwnId,
  IsPlainName,
  IsPlainText,
  IsShaped,
  IsText,
  IsTexts,
  IsThing,
  IsWithin,
  IsYesNo,
  LEADS,
  MayBeMissing,
  MayBeNull,
  OrNull,
  PageEnd,
} from '../rules/index.ts';
import { TallyView } from '../progress/tally.ts';
import { HomeReportView } from './homeReports.ts';
import { AttemptView, TrialsView } from '../runs/attempts.ts';
import { ResultView } from '../runs/runs.ts';

/** What somebody takes care of for now. */
export class CareDto {
  /** Comes back after a break: light in the first half of a class, and no bursts. */
  @IsBoolean({ message: 'Whether somebody starts light is yes or no.' })
  startsLight!: boolean;

  /** Neither strikes to a partner's head nor is struck there. */
  @IsBoolean({ message: 'Whether somebody has no contact to the head is yes or no.' })
  noHeadContact!: boolean;

  /** Limbs that strike without full power. */
  @IsArray({ message: 'The limbs that are spared are a list.' })
  @ArrayUnique({ message: 'A limb stands twice in this list.' })
  @IsIn(WORK_LIMBS, { each: true, message: `A limb is one of: ${WORK_LIMBS.join(', ')}.` })
  spared!: WorkLimb[];
}

export class SaveFighterDto {
  @IsPlainName('the name')
  name!: string;

  @IsOwnId('the grade')
  gradeId!: string;

  @IsOneOf('the lead', LEADS)
  lead!: 'left' | 'right';

  @IsPlainText('the note', 500)
  note!: string;

  /**
   * Whether somebody may train, where it is said with the rest: of a new entry, or to take somebody out of training. It is lifted
   * by itself, with a reason.
   */
  @MayBeMissing()
  @IsBoolean({ message: 'Fit to train is yes or no.' })
  fit?: boolean;

  /** Height in centimetres, for partners of a size; null when nobody measured. */
  @MayBeNull()
  @IsWithin('the height', 70, 230, 'cm')
  height?: number | null;

  /** What the class and its pads look out for; nothing without it. */
  @MayBeNull()
  @IsThing('what somebody takes care of', () => CareDto)
  care?: CareDto | null;

  /** Fighters who should not be partners of this one. */
  @MayBeMissing()
  @IsArray({ message: 'Those to be kept apart are a list.' })
  @ArrayMaxSize(20, { message: 'At most 20 others can be kept apart.' })
  @IsOwnId('a fighter', { each: true })
  apart?: string[];
}

/** Whether somebody may train: why, and who says so. */
export class SetFitDto {
  @IsBoolean({ message: 'Fit to train is yes or no.' })
  fit!: boolean;

  @IsPlainName('the reason', 200)
  reason!: string;

  @IsPlainName('the name of who says so')
  by!: string;
}

/** Whether somebody may train; why, by whom and when that was said last: empty where nobody said. */
export class FitView {
  @IsYesNo()
  readonly fit!: boolean;

  @IsText()
  readonly reason!: string;

  @IsText()
  readonly by!: string;

  @OrNull()
  @IsText()
  readonly at!: string | null;

  /** Of the entry. */
  @IsCount()
  readonly version!: number;
}

export class FighterView extends SaveFighterDto {
  @IsYesNo()
  declare readonly fit: boolean;

  @IsText()
  readonly id!: string;

  /** Name of the grade. */
  @IsText()
  readonly grade!: string;

  @IsCount()
  readonly version!: number;
}

export class FighterPage extends PageEnd {
  @IsListed(() => FighterView)
  readonly items!: readonly FighterView[];
}

/** A marked round as a fighter's log tells it. */
export class LoggedRound extends ResultView {
  @IsText()
  readonly session!: string;

  @IsText()
  readonly title!: string;

  @IsText()
  readonly kind!: string;

  /** The combos that this fighter's own group did in it. */
  @IsTexts()
  readonly combos!: readonly string[];

  /** What was done in it beside these: what, how many, which side. */
  @IsTexts()
  readonly work!: readonly string[];

  @OrNull()
  @IsAmount()
  readonly bpm!: number | null;
}

/** A page of a fighter's rounds, newest first, with the newest trials and what all of them come to. */
export class FighterLog extends PageEnd {
  @IsShaped(() => FighterView)
  readonly fighter!: FighterView;

  /** All classes and rounds since the first. */
  @IsShaped(() => TallyView)
  readonly tally!: TallyView;

  @IsListed(() => LoggedRound)
  readonly rounds!: readonly LoggedRound[];

  @IsListed(() => AttemptView)
  readonly attempts!: readonly AttemptView[];

  @IsListed(() => TrialsView)
  readonly bursts!: readonly TrialsView[];

  /** What was done at home, newest first. */
  @IsListed(() => HomeReportView)
  readonly home!: readonly HomeReportView[];
}
