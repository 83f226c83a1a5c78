import { BETTER, type Better } from '@eurhythm/core/progress';
import {
  MEASURED,
  TEST_SIDES,
  TRIAL_KINDS,
  type Measured,
  type TestSides,
  type TrialKind,
} from '@eurhythm/core/speed';
import {
  IsAmong,
  IsAmount,
  IsAmounts,
  IsCount,
  IsDay,
  IsListed,
  IsShaped,
  IsText,
  IsTexts,
  LEADS,
  MayBeMissing,
  OrNull,
} from '../rules/index.ts';
import { OutlierView, ComparedView } from './comparisons.ts';

/** Two dates that are held against each other. */
export class BetweenQuery {
  @MayBeMissing()
  @IsDay()
  from?: string;

  @MayBeMissing()
  @IsDay()
  to?: string;
}

export class OtherWayView {
  @IsAmong(MEASURED)
  readonly measured!: Measured;

  @IsCount()
  readonly trials!: number;
}

/** Trials of one day, as they are shown. */
export class CourseDayView {
  @IsText()
  readonly day!: string;

  @IsAmounts()
  readonly values!: readonly number[];
}

export class TrendView {
  @IsAmount()
  readonly perFourWeeks!: number;

  @IsAmount()
  readonly from!: number;

  @IsAmount()
  readonly to!: number;

  @IsAmount()
  readonly level!: number;

  @IsCount()
  readonly days!: number;

  @IsAmong(['better', 'worse', 'unclear'])
  readonly way!: 'better' | 'worse' | 'unclear';
}

export class RangeView {
  @IsAmount()
  readonly low!: number;

  @IsAmount()
  readonly high!: number;
}

/** A comparison in one sentence with its numbers. */
export class VerdictView extends ComparedView {
  @IsText()
  readonly sentence!: string;
}

/** How one fighter came on in one test from one lead. */
export class CourseView {
  @IsText()
  readonly testId!: string;

  @IsText()
  readonly title!: string;

  @IsAmong(TRIAL_KINDS)
  readonly kind!: TrialKind;

  @OrNull()
  @IsText()
  readonly unit!: string | null;

  /** Of a burst. */
  @IsAmount()
  readonly seconds!: number;

  @OrNull()
  @IsAmong(TEST_SIDES)
  readonly sides!: TestSides | null;

  @IsAmong(LEADS)
  readonly lead!: 'left' | 'right';

  @IsAmong(BETTER)
  readonly better!: Better;

  @IsAmong(MEASURED)
  readonly measured!: Measured;

  @IsListed(() => OtherWayView)
  readonly otherWays!: readonly OtherWayView[];

  @IsListed(() => CourseDayView)
  readonly days!: readonly CourseDayView[];

  @IsCount()
  readonly trials!: number;

  @IsAmount()
  readonly best!: number;

  @OrNull()
  @IsAmount()
  readonly typicalError!: number | null;

  @IsCount()
  readonly learning!: number;

  @OrNull()
  @IsShaped(() => VerdictView)
  readonly last!: VerdictView | null;

  @OrNull()
  @IsShaped(() => VerdictView)
  readonly month!: VerdictView | null;

  /** Of the two dates that were asked for; null where none were. */
  @OrNull()
  @IsShaped(() => VerdictView)
  readonly between!: VerdictView | null;

  @OrNull()
  @IsShaped(() => TrendView)
  readonly trend!: TrendView | null;

  /** The trend in words. */
  @IsText()
  readonly trendSentence!: string;

  @OrNull()
  @IsShaped(() => RangeView)
  readonly usual!: RangeView | null;

  @IsListed(() => OutlierView)
  readonly outliers!: readonly OutlierView[];

  @IsTexts()
  readonly notes!: readonly string[];
}

/** How even the two leads are in one test. */
export class EvennessView {
  @IsText()
  readonly testId!: string;

  @IsText()
  readonly title!: string;

  @IsAmount()
  readonly percent!: number;

  @IsAmount()
  readonly from!: number;

  @IsAmount()
  readonly to!: number;

  @OrNull()
  @IsAmong(LEADS)
  readonly behind!: 'left' | 'right' | null;

  /** The chance of a difference as large where both are even. */
  @IsAmount()
  readonly chance!: number;

  @IsText()
  readonly sentence!: string;
}

/** What is lost from one burst of a class to the next, in percent of their mean, with its interval. */
export class AcrossView {
  @IsText()
  readonly day!: string;

  @IsAmount()
  readonly percent!: number;

  @IsAmount()
  readonly from!: number;

  @IsAmount()
  readonly to!: number;

  @IsCount()
  readonly rounds!: number;
}

/** What a burst loses from its first third to its last, in percent, over the last weeks. */
export class FadingView {
  @IsText()
  readonly testId!: string;

  @IsText()
  readonly title!: string;

  @IsAmount()
  readonly percent!: number;

  @IsCount()
  readonly bursts!: number;

  /** Over the bursts of the last class that had three or more from one lead; null where none had. */
  @OrNull()
  @IsShaped(() => AcrossView)
  readonly across!: AcrossView | null;
}
