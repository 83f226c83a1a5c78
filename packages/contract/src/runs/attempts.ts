import { MEASURED, SOURCES, type HeardTrial, type Measured, type StrikeSource } from '@eurhythm/core/speed';
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

/** What a test measures: as many as fit into its seconds, how long a combo takes, or how soon an answer comes. */
export const TEST_KINDS = ['burst', 'combo-time', 'reaction'] as const;
/** Which end is better. */
export const DIRECTIONS = ['higher', 'lower'] as const;
/** What a test may last. */
export const TEST_SECONDS = { min: 3, max: 120 } as const;

/** Nobody does more in one trial. */
export const MOST_COUNT = 2000;

/** What is measured, so that trials of the same thing belong together whatever it is called. */
export class SaveTestDto {
  @IsPlainName('what is done')
  title!: string;

  @IsOneOf('what is measured', TEST_KINDS)
  kind!: (typeof TEST_KINDS)[number];

  /** The line that is done; null for what has none. */
  @OrNull()
  @IsLineText()
  line!: string | null;

  /** Length of a burst. */
  @IsWithin('the time', TEST_SECONDS.min, TEST_SECONDS.max, 'seconds')
  seconds!: number;

  @IsOneOf('the better end', DIRECTIONS)
  direction!: (typeof DIRECTIONS)[number];
}

export class TestView extends SaveTestDto {
  @IsText()
  readonly id!: string;

  @IsCount()
  readonly version!: number;
}

export class TestList {
  @IsListed(() => TestView)
  readonly items!: readonly TestView[];
}

/** All that is kept of one that was heard. */
export const MOST_ONSETS = 2000;

/** What a trial was worked out from. */
export class HeardTrialDto implements HeardTrial {
  @IsOneOf('the source', SOURCES)
  source!: StrikeSource;

  @IsPlainText('the device', 120)
  device!: string;

  @IsWithin('the latency', -1, 2, 'seconds')
  latency!: number;

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
}

export class SaveAttemptDto {
  @IsOwnId('a fighter')
  fighterId!: string;

  @MayBeNull()
  @IsOwnId('the run')
  runId?: string | null;

  /** The test that this is a trial of. Without it, the burst of this title and length, which is made where there is none. */
  @MayBeMissing()
  @IsOwnId('the test')
  testId?: string;

  @ValidateIf((attempt: SaveAttemptDto) => attempt.testId === undefined)
  @IsPlainName('what was done')
  title?: string;

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

  @OrNull()
  @IsShaped(() => HeardTrialDto)
  readonly heard!: HeardTrialDto | null;
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

  @IsAmong(LEADS)
  readonly lead!: 'left' | 'right';

  @IsCount()
  readonly best!: number;

  @IsAmount()
  readonly median!: number;

  @IsCount()
  readonly trials!: number;

  /** Told from home, and never mixed with what a coach saw. */
  @IsYesNo()
  readonly isSelfReported!: boolean;
}
