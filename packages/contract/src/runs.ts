import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsNumber,
  IsOptional,
  Matches,
  ValidateNested,
} from 'class-validator';
import {
  IsInstant,
  IsOneOf,
  IsOwnId,
  IsPlainName,
  IsWholeWithin,
  IsWithin,
  MayBeMissing,
  LEADS,
} from './fields.ts';
import { TempoShiftDto, type RoundDto } from './sessions.ts';

export const DONE = ['finished', 'part', 'sat-out'] as const;
export const QUALITIES = ['clean', 'loose', 'wild'] as const;

export class StartRunDto {
  @IsOwnId('the session')
  sessionId!: string;

  @IsArray({ message: 'The fighters are a list.' })
  @ArrayMaxSize(100, { message: 'A run holds at most 100 fighters.' })
  @ArrayUnique({ message: 'Each fighter stands in a run once.' })
  @Matches(/^[A-Za-z0-9._-]{1,64}$/, { each: true, message: 'A fighter is named by its id.' })
  fighterIds!: string[];

  @IsInstant('the time')
  startedAt!: string;
}

/** Where the run stood at an instant; a page that loads later reckons on from there. */
export class RunClockDto {
  @IsWholeWithin('the round', 0, 1000, '')
  round!: number;

  @IsWithin('the position', 0, 36_000, 'seconds')
  position!: number;

  @IsBoolean({ message: 'Running is yes or no.' })
  running!: boolean;

  /** Changes of tempo that were made in this round. */
  @MayBeMissing()
  @IsArray({ message: 'The changes of tempo are a list.' })
  @ArrayMaxSize(500, { message: 'There are at most 500 changes of tempo.' })
  @ValidateNested({ each: true })
  @Type(() => TempoShiftDto)
  shifts?: TempoShiftDto[];

  @IsInstant('the time')
  at!: string;
}

export class MarkResultDto {
  @IsWholeWithin('the round', 0, 1000, '')
  round!: number;

  @IsOwnId('a fighter')
  fighterId!: string;

  @IsOneOf('what was done', DONE)
  done!: (typeof DONE)[number];

  @IsOptional()
  @IsOneOf('how it was', QUALITIES)
  quality?: (typeof QUALITIES)[number] | null;

  @IsInstant('the time')
  at!: string;
}

export class SaveAttemptDto {
  @IsOwnId('a fighter')
  fighterId!: string;

  @IsOptional()
  @IsOwnId('the run')
  runId?: string | null;

  @IsPlainName('what was done')
  title!: string;

  @IsOneOf('the lead', LEADS)
  lead!: 'left' | 'right';

  @IsWithin('the time', 3, 120, 'seconds')
  seconds!: number;

  @IsArray({ message: 'The instants are a list of seconds.' })
  @ArrayMaxSize(2000, { message: 'An attempt holds at most 2000 instants.' })
  @IsNumber(
    { allowNaN: false, allowInfinity: false },
    { each: true, message: 'The instants are a list of seconds.' },
  )
  instants!: number[];

  @IsInstant('the time')
  at!: string;
}

export interface ResultView extends MarkResultDto {
  readonly id: string;
  readonly runId: string;
}

export interface AttemptView extends SaveAttemptDto {
  readonly id: string;
  readonly count: number;
  readonly perSecond: number;
}

export interface RunView {
  readonly id: string;
  readonly sessionId: string;
  readonly title: string;
  readonly lead: 'left' | 'right';
  readonly word: string;
  readonly startedAt: string;
  readonly endedAt: string | null;
  readonly clock: RunClockDto | null;
  readonly rounds: readonly RoundDto[];
  readonly fighterIds: readonly string[];
  readonly results: readonly ResultView[];
}
