import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayUnique,
  IsArray,
  IsIn,
  IsObject,
  IsString,
  MaxLength,
  ValidateBy,
  ValidateNested,
} from 'class-validator';
import { RUN_EVENT_KINDS, type RunEventKind } from '@eurhythm/core/run';
import {
  IsInstant,
  IsListOf,
  IsOneOf,
  IsOwnId,
  IsPlainLine,
  IsPlainName,
  IsPlainText,
  IsWholeWithin,
  IsWithin,
  LEADS,
  MayBeNull,
  OrNull,
} from '../../rules/index.ts';
import { DONE, EFFORT, MOST_NOTE, QUALITIES } from '../../runs/runs.ts';
import { RoundPartnersView } from '../../runs/runEventDtos.ts';
import { RoundDto } from '../../sessions/sessions.ts';

/** Texts by their names, as the group of each fighter. */
function IsTextsByName(what: string): PropertyDecorator {
  const validate = (value: unknown): boolean =>
    typeof value === 'object' &&
    value !== null &&
    !Array.isArray(value) &&
    Object.values(value).every((text) => typeof text === 'string' && text.length <= 60);
  return ValidateBy(
    { name: 'isTextsByName', validator: { validate } },
    { message: `${what} are texts by their names.` },
  );
}

/** A session that was held, with the rounds as they were when it began. */
export class FileRun {
  @IsOwnId('a run')
  id!: string;

  @IsOwnId('the session')
  sessionId!: string;

  @IsPlainName('the title')
  title!: string;

  @IsOneOf('the lead', LEADS)
  lead!: 'left' | 'right';

  @IsPlainLine('the word of the day', 40)
  word!: string;

  @ArrayMaxSize(2000, { message: 'A run holds at most 2000 rounds.' })
  @ValidateNested({ each: true })
  @Type(() => RoundDto)
  @IsArray({ message: 'The rounds are a list.' })
  rounds!: RoundDto[];

  @IsOwnId('a fighter', { each: true })
  @ArrayUnique({ message: 'Each fighter stands in a run once.' })
  @ArrayMaxSize(100, { message: 'A run holds at most 100 fighters.' })
  @IsArray({ message: 'The fighters are a list.' })
  fighterIds!: string[];

  /** The group of each fighter, by the id of the fighter. */
  @IsTextsByName('The groups of a run')
  groupOf!: Record<string, string>;

  @IsListOf('the partners', () => RoundPartnersView, { most: 2000 })
  partners!: RoundPartnersView[];

  @IsInstant('the start')
  startedAt!: string;

  @OrNull()
  @IsInstant('the end')
  endedAt!: string | null;

  @MayBeNull()
  @IsWholeWithin('the effort', EFFORT.min, EFFORT.max, '')
  effort?: number | null;

  @MayBeNull()
  @IsPlainText('the note', MOST_NOTE)
  note?: string | null;
}

export class FileRunEvent {
  @IsOwnId('a run')
  runId!: string;

  @IsWholeWithin('the place in the log', 1, 1_000_000, '')
  sequence!: number;

  @IsString({ message: 'The id of an event is a text.' })
  @MaxLength(200, { message: 'The id of an event has at most 200 characters.' })
  id!: string;

  @IsIn([...RUN_EVENT_KINDS, 'mark', 'burst'], {
    message: 'What was done is not known.',
  })
  kind!: RunEventKind | 'mark' | 'burst';

  @IsInstant('the time')
  at!: string;

  @MayBeNull()
  @IsInstant('the time by the clock of the device')
  toldAt: string | null = null;

  @IsInstant('the time of the taking')
  receivedAt!: string;

  @IsObject({ message: 'What an event holds has names.' })
  data!: Record<string, unknown>;
}

export class FileResult {
  @IsOwnId('a mark')
  id!: string;

  @IsOwnId('a run')
  runId!: string;

  @IsWholeWithin('the round', 0, 2000, '')
  round!: number;

  @IsOwnId('a fighter')
  fighterId!: string;

  /** Null for a mark that was taken back. */
  @OrNull()
  @IsOneOf('what was done', DONE)
  done!: (typeof DONE)[number] | null;

  @OrNull()
  @IsOneOf('how it was', QUALITIES)
  quality!: (typeof QUALITIES)[number] | null;

  @MayBeNull()
  @IsWithin('how far', 0, 36_000, 'seconds')
  seconds?: number | null;

  @MayBeNull()
  @IsOneOf('the lead', LEADS)
  lead?: 'left' | 'right' | null;

  @MayBeNull()
  @IsOwnId('a combo')
  comboId?: string | null;

  @IsInstant('the time')
  at!: string;
}
