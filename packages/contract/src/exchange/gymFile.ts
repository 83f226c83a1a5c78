import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayUnique,
  Equals,
  IsArray,
  IsBoolean,
  IsIn,
  IsObject,
  IsString,
  Matches,
  MaxLength,
  ValidateBy,
  ValidateNested,
} from 'class-validator';
import { MEASURED, type EarlierCount, type Measured } from '@eurhythm/core/speed';
import { RUN_EVENT_KINDS, type RunEventKind } from '@eurhythm/core/run';
import { CUT_OFFS, type CutOff } from '@eurhythm/core/sound';
import { SaveComboDto } from '../combos/combos.ts';
import { SaveFighterDto } from '../fighters/fighters.ts';
import { GradeDto, TechniqueDto } from '../gym/grades.ts';
import { SchoolDto } from '../gym/gym.ts';
import { CALL_TEXT, OWN_CALL_LIMITS } from '../gym/voice.ts';
import { SaveMoveDto } from '../moves/moves.ts';
import { NumberedMoveDto } from '../moves/numbers.ts';
import {
  IsInstant,
  IsListOf,
  IsOneOf,
  IsOwnId,
  IsPlainLine,
  IsPlainName,
  IsPlainText,
  IsThing,
  IsWholeWithin,
  IsWithin,
  LEADS,
  MOVE_CODE,
  MayBeMissing,
  MayBeNull,
  OrNull,
} from '../rules/index.ts';
import { HeardTrialDto, MOST_COUNT, MOST_TIME, SaveTestDto } from '../runs/attempts.ts';
import { DONE, EFFORT, MOST_NOTE, QUALITIES, RoundPartnersView } from '../runs/runs.ts';
import { FileHomeReport } from './fileHomeReport.ts';
import { FileGoal, FileGrading, FileRecall, FileRequirements, FileShownMark } from './fileProgress.ts';
import { SaveThemeDto } from '../sessions/calendar.ts';
import { SaveLibraryItemDto } from '../sessions/library.ts';
import { RoundDto, SaveSessionDto } from '../sessions/sessions.ts';
import { SaveSheetDto } from '../sessions/sheets.ts';

/*
 * The file in which a gym is taken away and brought in again: flat lists of everything, each thing with its id. A list that is
 * missing stays as it is where the file is brought in.
 */

export const GYM_FILE_FORMAT = 'eurhythm gym';
/** Raised whenever an older file has to be read in another way. */
export const GYM_FILE_VERSION = 1;
/** Largest file that is read. */
export const GYM_FILE_BYTES = 64_000_000;

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

export class FileMove extends SaveMoveDto {
  @Matches(MOVE_CODE, { message: 'A code is 1 to 24 small letters, such as jab.' })
  code!: string;

  @IsBoolean({ message: 'Retired is yes or no.' })
  retired!: boolean;
}

export class FileCombo extends SaveComboDto {
  @IsOwnId('a combo')
  id!: string;

  @IsInstant('the time of the change')
  updatedAt!: string;

  @IsBoolean({ message: 'Retired is yes or no.' })
  retired!: boolean;
}

/** A state in which a combo was saved. */
export class FileComboVersion {
  @IsOwnId('a combo')
  comboId!: string;

  @IsInstant('the time of the change')
  at!: string;

  @IsObject({ message: 'A state of a combo has its fields, as the contract lists them.' })
  @ValidateNested()
  @Type(() => SaveComboDto)
  combo!: SaveComboDto;
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

export class FileSession extends SaveSessionDto {
  @IsOwnId('a session')
  id!: string;

  @IsInstant('the time of the change')
  updatedAt!: string;
}

export class FileSheet {
  @IsOwnId('a session')
  sessionId!: string;

  @IsObject({ message: 'A sheet has its fields, as the contract lists them.' })
  @ValidateNested()
  @Type(() => SaveSheetDto)
  sheet!: SaveSheetDto;
}

export class FileTheme extends SaveThemeDto {
  @IsOwnId('a theme')
  id!: string;
}

export class FileLibraryItem extends SaveLibraryItemDto {
  @IsOwnId('a piece of the library')
  id!: string;

  @IsInstant('the time of the change')
  updatedAt!: string;
}

export class FileTest extends SaveTestDto {
  @IsOwnId('a test')
  id!: string;
}

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
  @IsInstant('the time that was told')
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

  @IsInstant('the time')
  at!: string;
}

export class FileEarlierCount implements EarlierCount {
  @IsWholeWithin('the count', 0, MOST_COUNT, '')
  count!: number;

  @MayBeMissing()
  @IsWithin('the time that it took', 0, MOST_TIME, 'seconds')
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
  @IsInstant('the time that was told')
  toldAt: string | null = null;

  @MayBeNull()
  @IsWholeWithin('the count', 0, MOST_COUNT, '')
  said?: number | null;

  @MayBeMissing()
  @IsOneOf('how it was counted', MEASURED)
  measured?: Measured;

  /** Seconds, where the test asks how long. */
  @MayBeNull()
  @IsWithin('the time that it took', 0, MOST_TIME, 'seconds')
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

/** A list of a file; what is missing stays as it is. */
function IsPart(shape: () => new () => object): PropertyDecorator {
  return (target, key) => {
    MayBeMissing()(target, key);
    IsListOf(`the ${String(key)}`, shape)(target, key);
  };
}

/** A whole gym, or a part of it. */
export class GymFile {
  @Equals(GYM_FILE_FORMAT, { message: `This is no file of a gym: its format is not “${GYM_FILE_FORMAT}”.` })
  format!: typeof GYM_FILE_FORMAT;

  @IsWholeWithin('the version of the file', 0, 1_000_000, '')
  version!: number;

  @IsInstant('the time of the file')
  madeAt!: string;

  /** Whether it is the whole gym: its settings and its number map take the place of those that are there. */
  @IsBoolean({ message: 'Whole is yes or no.' })
  whole!: boolean;

  @MayBeNull()
  @IsObject({ message: 'The gym has its fields, as the contract lists them.' })
  @ValidateNested()
  @Type(() => FileGym)
  gym: FileGym | null = null;

  /** Lowest first. */
  @IsPart(() => GradeDto)
  grades?: GradeDto[];

  @IsPart(() => FileMove)
  moves?: FileMove[];

  @IsPart(() => NumberedMoveDto)
  numbers?: NumberedMoveDto[];

  @IsPart(() => FileCombo)
  combos?: FileCombo[];

  @IsPart(() => FileComboVersion)
  comboVersions?: FileComboVersion[];

  @IsPart(() => FileTechniques)
  techniques?: FileTechniques[];

  @IsPart(() => FileFighter)
  fighters?: FileFighter[];

  @IsPart(() => FileSession)
  sessions?: FileSession[];

  @IsPart(() => FileSheet)
  sheets?: FileSheet[];

  @IsPart(() => FileTheme)
  themes?: FileTheme[];

  @IsPart(() => FileLibraryItem)
  library?: FileLibraryItem[];

  @IsPart(() => FileTest)
  tests?: FileTest[];

  @IsPart(() => FileRun)
  runs?: FileRun[];

  @IsPart(() => FileRunEvent)
  runEvents?: FileRunEvent[];

  @IsPart(() => FileResult)
  results?: FileResult[];

  @IsPart(() => FileAttempt)
  attempts?: FileAttempt[];

  @IsPart(() => FileRemovedAttempt)
  removedAttempts?: FileRemovedAttempt[];

  @IsPart(() => FileHomeReport)
  homeReports?: FileHomeReport[];

  @IsPart(() => FileRequirements)
  requirements?: FileRequirements[];

  @IsPart(() => FileShownMark)
  shownMarks?: FileShownMark[];

  @IsPart(() => FileGrading)
  gradings?: FileGrading[];

  @IsPart(() => FileGoal)
  goals?: FileGoal[];

  @IsPart(() => FileRecall)
  recalls?: FileRecall[];

  @IsPart(() => FileOwnCall)
  ownCalls?: FileOwnCall[];
}
