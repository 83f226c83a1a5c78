import { ArrayMaxSize, IsArray, IsBoolean } from 'class-validator';
import {
  IsAmong,
  IsAmount,
  IsCount,
  IsListed,
  IsOwnId,
  IsPlainName,
  IsShaped,
  IsText,
  IsTexts,
  IsWholeWithin,
  IsWithin,
  MayBeMissing,
  MayBeNull,
} from '../rules/index.ts';
import { ClassGroupDto, RoundDto } from './sessions.ts';

/** What a coach says of a class that is to be drafted. Nothing of it is kept. */
export class DraftSessionDto {
  @IsWithin('the length', 1, 600, 'minutes')
  minutes!: number;

  /** Ids of grades; the first is the one that the voice calls. Without grades and people, everybody who may train comes. */
  @MayBeMissing()
  @IsArray({ message: 'The grades are a list.' })
  @ArrayMaxSize(40, { message: 'At most 40 grades come.' })
  @IsOwnId('a grade', { each: true })
  grades?: string[];

  /** Ids of those who come, whatever grades are ticked. */
  @MayBeMissing()
  @IsArray({ message: 'The people are a list.' })
  @ArrayMaxSize(500, { message: 'At most 500 people come.' })
  @IsOwnId('a fighter', { each: true })
  people?: string[];

  /** Words such as "knees", "left leg", "footwork", "contact", "test". */
  @MayBeMissing()
  @IsArray({ message: 'The theme is a list of words.' })
  @ArrayMaxSize(8, { message: 'A theme has at most 8 words.' })
  @IsPlainName('a word of the theme', 40, { each: true })
  theme?: string[];

  /** Steps of floor one way; what the gym has without it. */
  @MayBeNull()
  @IsWithin('the room', 0, 100, 'steps')
  room?: number | null;

  /** What there is for this class; what the gym has without it. */
  @MayBeMissing()
  @IsArray({ message: 'The kit is a list.' })
  @ArrayMaxSize(40, { message: 'A gym lists at most 40 pieces of kit.' })
  @IsPlainName('a piece of kit', 60, { each: true })
  kit?: string[];

  /** Everybody works alone, without pads. */
  @MayBeMissing()
  @IsBoolean({ message: 'Whether everybody works alone is yes or no.' })
  alone?: boolean;

  /** The grade that is tested next. */
  @MayBeNull()
  @IsOwnId('the grade')
  towards?: string | null;

  /** Another number gives another draft, the same one the same. */
  @MayBeMissing()
  @IsWholeWithin('the seed', 0, 4_294_967_295, '')
  seed?: number;
}

export class DraftedSessionView {
  @IsText()
  readonly title!: string;

  @IsAmount()
  readonly minutes!: number;

  @IsListed(() => ClassGroupDto)
  readonly groups!: readonly ClassGroupDto[];

  @IsListed(() => RoundDto)
  readonly rounds!: readonly RoundDto[];
}

export class DraftReasonView {
  /** Place of the round, from 0. */
  @IsCount()
  readonly round!: number;

  @IsText()
  readonly why!: string;
}

/** What the planner says of a draft. */
export class DraftCheckView {
  @IsAmong(['caution'])
  readonly severity!: 'caution';

  @IsText()
  readonly message!: string;

  /** Place of the round, from 0; missing for what is about the whole. */
  @MayBeMissing()
  @IsCount()
  readonly round?: number;
}

export class SessionDraftView {
  @IsShaped(() => DraftedSessionView)
  readonly session!: DraftedSessionView;

  @IsAmount()
  readonly seconds!: number;

  @IsListed(() => DraftReasonView)
  readonly reasons!: readonly DraftReasonView[];

  @IsListed(() => DraftCheckView)
  readonly check!: readonly DraftCheckView[];

  /** What could not be had, each in one sentence. */
  @IsTexts()
  readonly notes!: readonly string[];
}
