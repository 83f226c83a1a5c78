import { ArrayMaxSize, ArrayUnique, IsArray } from 'class-validator';
import {
  IsAmong,
  IsCount,
  IsInstant,
  IsListed,
  IsOneOf,
  IsOwnId,
  IsPlainText,
  IsText,
  IsTexts,
  IsWholeWithin,
  IsWithin,
  LEADS,
  MayBeNull,
  OrNull,
  PageEnd,
} from '../rules/index.ts';
import { RoundDto } from '../sessions/sessions.ts';
import { RoundPartnersView, RunEventView } from './runEventDtos.ts';

export const DONE = ['finished', 'part', 'sat-out'] as const;

export const QUALITIES = ['clean', 'loose', 'wild'] as const;

export class StartRunDto {
  @IsOwnId('the session')
  sessionId!: string;

  @IsArray({ message: 'The fighters are a list.' })
  @ArrayMaxSize(100, { message: 'A run holds at most 100 fighters.' })
  @ArrayUnique({ message: 'Each fighter stands in a run once.' })
  @IsOwnId('a fighter', { each: true })
  fighterIds!: string[];

  @IsInstant('the time')
  startedAt!: string;
}

export class MarkResultDto {
  @IsWholeWithin('the round', 0, 1000, '')
  round!: number;

  @IsOwnId('a fighter')
  fighterId!: string;

  @IsOneOf('what was done', DONE)
  done!: (typeof DONE)[number];

  @MayBeNull()
  @IsOneOf('how it was', QUALITIES)
  quality?: (typeof QUALITIES)[number] | null;

  /** Of a part: how far, in seconds from the start of the round. */
  @MayBeNull()
  @IsWithin('how far', 0, 36_000, 'seconds')
  seconds?: number | null;

  /** From which lead, where it was another than planned. */
  @MayBeNull()
  @IsOneOf('the lead', LEADS)
  lead?: 'left' | 'right' | null;

  /** The combo that the quality is about, where the round has several; all of them without it. */
  @MayBeNull()
  @IsOwnId('a combo')
  comboId?: string | null;

  @IsInstant('the time')
  at!: string;
}

export class ResultView extends MarkResultDto {
  @IsText()
  readonly id!: string;

  @IsText()
  readonly runId!: string;
}

/** How hard a class can be. */
export const EFFORT = { min: 1, max: 10 } as const;

export const MOST_NOTE = 1000;

/** What the coach says of a class as a whole. */
export class RunNoteDto {
  @OrNull()
  @IsWholeWithin('the effort', EFFORT.min, EFFORT.max, '')
  effort!: number | null;

  @OrNull()
  @IsPlainText('the note', MOST_NOTE)
  note!: string | null;
}

/** A run as a list tells it. */
export class RunSummary {
  @IsText()
  readonly id!: string;

  @IsText()
  readonly sessionId!: string;

  @IsText()
  readonly title!: string;

  @IsText()
  readonly startedAt!: string;

  @OrNull()
  @IsText()
  readonly endedAt!: string | null;

  /** How many took part. */
  @IsCount()
  readonly fighters!: number;
}

/** A page of runs, newest first. */
export class RunPage extends PageEnd {
  @IsListed(() => RunSummary)
  readonly items!: readonly RunSummary[];
}

/** Those of a run who are in one group of the class. */
export class RunGroupView {
  @IsText()
  readonly name!: string;

  @IsTexts()
  readonly fighterIds!: readonly string[];
}

export class RunView {
  @IsText()
  readonly id!: string;

  @IsText()
  readonly sessionId!: string;

  @IsText()
  readonly title!: string;

  @IsAmong(LEADS)
  readonly lead!: 'left' | 'right';

  @IsText()
  readonly word!: string;

  @IsText()
  readonly startedAt!: string;

  @OrNull()
  @IsText()
  readonly endedAt!: string | null;

  @IsListed(() => RoundDto)
  readonly rounds!: readonly RoundDto[];

  @IsTexts()
  readonly fighterIds!: readonly string[];

  /** The groups of the class; without any, everybody is one. */
  @IsListed(() => RunGroupView)
  readonly groups!: readonly RunGroupView[];

  /** Who works with whom, round by round, from the sheet of the class. */
  @IsListed(() => RoundPartnersView)
  readonly partners!: readonly RoundPartnersView[];

  /** How hard it was, 1 to 10, and what the coach noted. */
  @OrNull()
  @IsCount()
  readonly effort!: number | null;

  @OrNull()
  @IsText()
  readonly note!: string | null;

  @IsListed(() => ResultView)
  readonly results!: readonly ResultView[];

  /** What was done to the run itself, in order; marks and bursts stand in `results` and in the log of each fighter. */
  @IsListed(() => RunEventView)
  readonly events!: readonly RunEventView[];
}
