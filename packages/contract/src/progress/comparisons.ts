import { BETTER, VERDICTS, type Better, type Verdict } from '@eurhythm/core/progress';
import { ArrayMaxSize, IsArray, ValidateBy } from 'class-validator';
import {
  IsAmong,
  IsAmount,
  IsCount,
  IsListed,
  IsListOf,
  IsOneOf,
  IsShaped,
  IsText,
  IsWithin,
  IsYesNo,
  MayBeNull,
  OrNull,
} from '../rules/index.ts';

/** Trials of one day, and days of one side. */
const MOST_TRIALS = 200;
const MOST_DAYS = 5000;

/** The trials of one test on one day. */
export class DayTrialsDto {
  /** A day like 2026-03-05, or its number. */
  @ValidateBy(
    {
      name: 'isDayOrNumber',
      validator: {
        validate: (day: unknown) =>
          Number.isFinite(day) || (typeof day === 'string' && /^\d{4}-\d{2}-\d{2}/.test(day)),
      },
    },
    { message: 'A day is written like 2026-03-05, or is a number.' },
  )
  day!: string | number;

  /** How many of a burst, or seconds. */
  @IsArray({ message: 'The values are a list of numbers.' })
  @ArrayMaxSize(MOST_TRIALS, { message: `A day holds at most ${MOST_TRIALS} trials.` })
  @IsWithin('a value', 0, 100_000, '', { each: true })
  values!: number[];
}

/** Trials before and after something, to be told apart. */
export class CompareDto {
  @IsOneOf('the better end', BETTER)
  better!: Better;

  @IsListOf('the days before', () => DayTrialsDto, { most: MOST_DAYS })
  before!: DayTrialsDto[];

  @IsListOf('the days after', () => DayTrialsDto, { most: MOST_DAYS })
  after!: DayTrialsDto[];

  /** Where it is known; else it comes from trials of the same day. */
  @MayBeNull()
  @IsWithin('the typical error', 0, 100_000, '')
  typicalError?: number | null;
}

export class OutlierView {
  @IsText()
  readonly day!: string;

  @IsAmount()
  readonly value!: number;
}

export class SidesView {
  @IsCount()
  readonly before!: number;

  @IsCount()
  readonly after!: number;
}

export class MeansView {
  @OrNull()
  @IsAmount()
  readonly before!: number | null;

  @OrNull()
  @IsAmount()
  readonly after!: number | null;
}

/** Whether trials after are really better than those before. */
export class ComparedView {
  @IsAmong(VERDICTS)
  readonly verdict!: Verdict;

  /** Mean after less mean before; null where one side has no trial. */
  @OrNull()
  @IsAmount()
  readonly change!: number | null;

  /** The smallest change that is real; null where the typical error is not known. */
  @OrNull()
  @IsAmount()
  readonly smallestDetectableChange!: number | null;

  /** What a change has to exceed to be called one; null where that is not known. */
  @OrNull()
  @IsAmount()
  readonly needed!: number | null;

  /** The chance of a difference as large where nothing has changed; null where that is not known. */
  @OrNull()
  @IsAmount()
  readonly chance!: number | null;

  @OrNull()
  @IsAmount()
  readonly typicalError!: number | null;

  @IsShaped(() => SidesView)
  readonly trials!: SidesView;

  /** Days with trials. */
  @IsShaped(() => SidesView)
  readonly days!: SidesView;

  @IsShaped(() => MeansView)
  readonly means!: MeansView;

  /** Days differ more than trials of one day, which makes the least change larger. */
  @IsYesNo()
  readonly daysDiffer!: boolean;

  /** A single trial makes the difference. */
  @IsYesNo()
  readonly isDrivenByOutlier!: boolean;

  /** How many days more it takes until anything is said. */
  @IsCount()
  readonly moreDays!: number;

  /** A change that is sure, and smaller than what is worth anything. */
  @IsYesNo()
  readonly isTooSmall!: boolean;

  @IsAmount()
  readonly worthwhile!: number;

  /** What cannot be so beside the others and was left out. */
  @IsListed(() => OutlierView)
  readonly outliers!: readonly OutlierView[];
}
