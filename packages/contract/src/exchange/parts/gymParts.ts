import { Type } from 'class-transformer';
import { IsBoolean, IsIn, IsObject, Matches, MaxLength, ValidateNested } from 'class-validator';
import { CUT_OFFS, type CutOff } from '@eurhythm/core/sound';
import { SaveFighterDto } from '../../fighters/fighters.ts';
import { TechniqueDto } from '../../gym/grades.ts';
import { SchoolDto } from '../../gym/gym.ts';
import { CALL_TEXT, OWN_CALL_LIMITS } from '../../gym/voice.ts';
import {
  IsInstant,
  IsListOf,
  IsOwnId,
  IsPlainLine,
  IsPlainName,
  IsWithin,
  MayBeNull,
  OrNull,
} from '../../rules/index.ts';

/** The name of the gym and its ways. */
export class FileGym {
  @IsPlainName('the name of the gym')
  name!: string;

  @OrNull()
  @IsInstant('the time of the notice')
  noticeAcceptedAt!: string | null;

  /** Null for a gym that has not changed the starter settings. */
  @OrNull()
  @IsObject({ message: 'The ways of the gym have their fields, as the contract lists them.' })
  @ValidateNested()
  @Type(() => SchoolDto)
  school!: SchoolDto | null;
}

export class FileTechniques {
  @IsOwnId('the grade')
  gradeId!: string;

  @IsListOf('the techniques', () => TechniqueDto, {
    most: 100,
    tooMany: 'A grade trains at most 100 techniques.',
  })
  techniques!: TechniqueDto[];
}

export class FileFighter extends SaveFighterDto {
  @IsOwnId('a fighter')
  id!: string;

  @IsBoolean({ message: 'Fit to train is yes or no.' })
  declare fit: boolean;

  @IsPlainLine('the reason', 200)
  fitReason!: string;

  @IsPlainLine('the name of who says so', 60)
  fitBy!: string;

  @OrNull()
  @IsInstant('the time of the mark')
  fitAt!: string | null;
}

export class FileOwnCall {
  @Matches(CALL_TEXT, { message: 'A call is plain text of 1 to 120 characters.' })
  text!: string;

  /** A WAV file in base64. */
  @MaxLength(Math.ceil((OWN_CALL_LIMITS.bytes * 4) / 3), { message: 'This recording is too large.' })
  @Matches(/^[A-Za-z0-9+/]+={0,2}$/, { message: 'A recording is written in base64.' })
  wav!: string;

  @IsWithin('the length', 0, OWN_CALL_LIMITS.seconds, 'seconds')
  seconds!: number;

  @IsWithin('the centre', 0, OWN_CALL_LIMITS.seconds, 'seconds')
  centre!: number;

  /** As the server tells it; files that were made before it was known have neither. */
  @MayBeNull()
  @IsWithin('the voice over the room', -200, 200, 'decibels')
  overRoom?: number | null;

  @MayBeNull()
  @IsIn(CUT_OFFS, { message: 'A recording is cut off at its start or at its end.' })
  cutOff?: CutOff | null;

  @IsInstant('the time of the change')
  updatedAt!: string;
}
