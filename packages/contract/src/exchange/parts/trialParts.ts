import { ArrayMaxSize, IsArray } from 'class-validator';
import { MEASURED, type EarlierCount, type Measured } from '@eurhythm/core/speed';
import {
  IsInstant,
  IsListOf,
  IsOneOf,
  IsOwnId,
  IsPlainText,
  IsThing,
  IsWholeWithin,
  IsWithin,
  LEADS,
  MayBeMissing,
  MayBeNull,
  OrNull,
} from '../../rules/index.ts';
import { HeardTrialDto, MOST_COUNT, MOST_RESULT } from '../../runs/attempts.ts';
import { SaveTestDto } from '../../runs/testDtos.ts';

export class FileTest extends SaveTestDto {
  @IsOwnId('a test')
  id!: string;
}

export class FileEarlierCount implements EarlierCount {
  @IsWholeWithin('the count', 0, MOST_COUNT, '')
  count!: number;

  @MayBeMissing()
  @IsWithin('the result', 0, MOST_RESULT, '')
  value?: number;

  @IsOneOf('how it was counted', MEASURED)
  measured!: Measured;

  @IsInstant('the time')
  at!: string;

  @MayBeMissing()
  @IsPlainText('the detector', 40)
  detector?: string;
}

export class FileAttempt {
  @IsOwnId('a trial')
  id!: string;

  @IsOwnId('a fighter')
  fighterId!: string;

  @OrNull()
  @IsOwnId('the run')
  runId!: string | null;

  @IsOwnId('the test')
  testId!: string;

  @IsOneOf('the lead', LEADS)
  lead!: 'left' | 'right';

  @ArrayMaxSize(2000, { message: 'A trial holds at most 2000 instants.' })
  @IsWithin('an instant', -3600, 3600, 'seconds', { each: true })
  @IsArray({ message: 'The instants are a list of seconds.' })
  instants!: number[];

  @IsInstant('the time')
  at!: string;

  @MayBeNull()
  @IsInstant('the time by the clock of the device')
  toldAt: string | null = null;

  @MayBeNull()
  @IsWholeWithin('the count', 0, MOST_COUNT, '')
  said?: number | null;

  @MayBeMissing()
  @IsOneOf('how it was counted', MEASURED)
  measured?: Measured;

  /** Seconds, where the test asks how long, or what was read off. */
  @MayBeNull()
  @IsWithin('the result', 0, MOST_RESULT, '')
  value?: number | null;

  /** What it said before it was corrected, the first first. */
  @MayBeMissing()
  @IsListOf('the earlier counts', () => FileEarlierCount, { most: 100 })
  history?: FileEarlierCount[];

  @MayBeNull()
  @IsThing('what was heard', () => HeardTrialDto)
  heard?: HeardTrialDto | null;
}

/** A trial that was taken out. */
export class FileRemovedAttempt {
  @IsOwnId('a trial')
  id!: string;

  @IsInstant('the time')
  at!: string;
}
