import {
  MEASURED,
  SOURCES,
  TEST_SIDES,
  TRIAL_KINDS,
  type HeardTrial,
  type Measured,
  type StrikeSource,
  type TestSides,
  type TrialKind,
} from '@eurhythm/core/speed';
import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray, IsNumber, ValidateIf } from 'class-validator';
import {
  IsAmong,
  IsAmount,
  IsAmounts,
  IsCount,
  IsInstant,
  IsLineText,
  IsListOf,
  IsListed,
  IsOneOf,
  IsOwnId,
  IsPlainName,
  IsPlainText,
  IsShaped,
  IsText,
  IsThing,
  IsWholeWithin,
  IsWithin,
  IsYesNo,
  LEADS,
  MayBeMissing,
  MayBeNull,
  OrNull,
  PageEnd,
} from '../rules/index.ts';
import { HeardStrikeDto } from '../strikes/strikes.ts';
import { TEST_SECONDS } from './testDtos.ts';

/** Nobody does more in one trial. */
export const MOST_COUNT = 2000;

/** No combo takes longer, in seconds. */
export const MOST_TIME = 600;

/** Sound that is kept with a trial: so many bytes of a WAV file, five minutes of a telephone's. */
export const MOST_RECORDED = 10_000_000;

/** All that is kept of one that was heard. */
export const MOST_ONSETS = 2000;

/** What a trial was worked out from. */
export class HeardTrialDto implements HeardTrial {
  @IsOneOf('the source', SOURCES)
  source!: StrikeSource;

  @IsPlainText('the device', 120)
  device!: string;

  /** Of trials of before: what is still to be taken off the onsets. */
  @MayBeMissing()
  @IsWithin('the latency', -1, 2, 'seconds')
  latency?: number;

  @OrNull()
  @IsPlainText('the detector', 40)
  detector!: string | null;

  @IsListOf('the onsets', () => HeardStrikeDto, {
    most: MOST_ONSETS,
    tooMany: `A trial holds at most ${MOST_ONSETS} onsets.`,
  })
  onsets!: readonly HeardStrikeDto[];

  @OrNull()
  @ArrayMaxSize(MOST_ONSETS, { message: `At most ${MOST_ONSETS} strikes are due in a trial.` })
  @IsWithin('an instant', -3600, 3600, 'seconds', { each: true })
  @IsArray({ message: 'The due strikes are a list of seconds.' })
  due!: readonly number[] | null;

  @MayBeMissing()
  @ArrayMaxSize(MOST_ONSETS, { message: `A trial holds at most ${MOST_ONSETS} times through.` })
  @IsWholeWithin('a place', 0, MOST_ONSETS, '', { each: true })
  @IsArray({ message: 'The beginnings are a list of places.' })
  starts?: readonly number[];

  @MayBeMissing()
  @ArrayMaxSize(MOST_ONSETS, { message: `At most ${MOST_ONSETS} strikes are due in a trial.` })
  @IsWholeWithin('a place', -1, MOST_ONSETS, '', { each: true })
  @IsArray({ message: 'What landed is a list of places.' })
  hits?: readonly number[];

  @MayBeMissing()
  @ArrayMaxSize(MOST_ONSETS, { message: `A device tells at most ${MOST_ONSETS} sounds of its own.` })
  @IsWithin('an instant', -3600, 3600, 'seconds', { each: true })
  @IsArray({ message: 'The device’s own sounds are a list of seconds.' })
  own?: readonly number[];

  @MayBeMissing()
  @IsWithin('the least strength', -200, 200, 'decibels')
  leastStrength?: number;
}

/** No result of any test is more. */
export const MOST_RESULT = 1_000_000;

export class SaveAttemptDto {
  @IsOwnId('a fighter')
  fighterId!: string;

  @MayBeNull()
  @IsOwnId('the run')
  runId?: string | null;

  /** The test that this is a trial of. Without it, that of this kind, line, title and length, which is made where there is none. */
  @MayBeMissing()
  @IsOwnId('the test')
  testId?: string;

  @ValidateIf((attempt: SaveAttemptDto) => attempt.testId === undefined)
  @IsPlainName('what was done')
  title?: string;

  /** What the test that is made measures: a burst where nothing is said. */
  @MayBeMissing()
  @IsOneOf('what is measured', TRIAL_KINDS)
  kind?: TrialKind;

  /** The line of the test that is made. */
  @MayBeNull()
  @IsLineText()
  line?: string | null;

  @IsOneOf('the lead', LEADS)
  lead!: 'left' | 'right';

  @ValidateIf((attempt: SaveAttemptDto) => attempt.testId === undefined)
  @IsWithin('the time', TEST_SECONDS.min, TEST_SECONDS.max, 'seconds')
  seconds?: number;

  @IsArray({ message: 'The instants are a list of seconds.' })
  @ArrayMaxSize(2000, { message: 'An attempt holds at most 2000 instants.' })
  @IsNumber(
    { allowNaN: false, allowInfinity: false },
    { each: true, message: 'The instants are a list of seconds.' },
  )
  instants!: number[];

  /** How many, where somebody counted and nothing was timed. */
  @MayBeNull()
  @IsWholeWithin('the count', 0, MOST_COUNT, '')
  said?: number | null;

  /** How long it took, in seconds, where somebody timed a combo or an answer by hand. */
  @MayBeNull()
  @IsWithin('the time that it took', 0, MOST_TIME, 'seconds')
  time?: number | null;

  /** What was read off, in the unit of the test. */
  @MayBeNull()
  @IsWithin('the result', 0, MOST_RESULT, '')
  result?: number | null;

  /** How it was counted; by taps where nothing is said. */
  @MayBeMissing()
  @IsOneOf('how it was counted', MEASURED)
  measured?: Measured;

  /** What it was worked out from, where it was heard. */
  @MayBeNull()
  @IsThing('what was heard', () => HeardTrialDto)
  heard?: HeardTrialDto | null;

  @IsInstant('the time')
  at!: string;
}

/** One trial of a test. */
export class AttemptView {
  @IsText()
  readonly id!: string;

  @IsText()
  readonly fighterId!: string;

  @OrNull()
  @IsText()
  readonly runId!: string | null;

  @IsText()
  readonly testId!: string;

  @IsText()
  readonly title!: string;

  @IsAmong(LEADS)
  readonly lead!: 'left' | 'right';

  @IsAmount()
  readonly seconds!: number;

  @IsAmounts()
  readonly instants!: readonly number[];

  @IsText()
  readonly at!: string;

  @IsCount()
  readonly count!: number;

  @IsAmong(MEASURED)
  readonly measured!: Measured;

  /** What it said first, where it was corrected since. */
  @OrNull()
  @IsCount()
  readonly first!: number | null;

  @IsAmount()
  readonly perSecond!: number;

  @IsAmong(TRIAL_KINDS)
  readonly kind!: TrialKind;

  @OrNull()
  @IsText()
  readonly unit!: string | null;

  @OrNull()
  @IsAmong(TEST_SIDES)
  readonly sides!: TestSides | null;

  /** What it came to: how many of a burst, else seconds; null where nothing could be reported about it. */
  @OrNull()
  @IsAmount()
  readonly value!: number | null;

  /** Seconds of sound that were kept with it; null where none was. */
  @OrNull()
  @IsAmount()
  readonly recorded!: number | null;

  @OrNull()
  @IsShaped(() => HeardTrialDto)
  readonly heard!: HeardTrialDto | null;
}

/** When the first sample of a recording was heard, by the clock of its trial. */
export class RecordedFromQuery {
  @Type(() => Number)
  @IsWithin('the beginning', -3600, 3600, 'seconds')
  from!: number;
}

/** A page of a fighter's trials, newest first. */
export class AttemptPage extends PageEnd {
  @IsListed(() => AttemptView)
  readonly items!: readonly AttemptView[];
}

/** All trials of one test from one lead. */
export class TrialsView {
  @IsText()
  readonly testId!: string;

  @IsText()
  readonly title!: string;

  @IsAmong(TRIAL_KINDS)
  readonly kind!: TrialKind;

  @IsAmong(LEADS)
  readonly lead!: 'left' | 'right';

  /** How many of a burst, else seconds; so is the median. */
  @IsAmount()
  readonly best!: number;

  @IsAmount()
  readonly median!: number;

  @IsCount()
  readonly trials!: number;

  /** Reported from home, and never mixed with what a coach saw. */
  @IsYesNo()
  readonly isSelfReported!: boolean;
}
