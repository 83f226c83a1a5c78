import { Type } from 'class-transformer';
import { Equals, IsBoolean, IsObject, ValidateNested } from 'class-validator';
import { GradeDto } from '../gym/grades.ts';
import { NumberedMoveDto } from '../moves/numbers.ts';
import { IsInstant, IsListOf, IsWholeWithin, MayBeMissing, MayBeNull } from '../rules/index.ts';
import { FileHomeReport } from './fileHomeReport.ts';
import {
  FileGoal,
  FileGrading,
  FileGradingDay,
  FileRecall,
  FileRequirements,
  FileShownMark,
} from './fileProgress.ts';
import { FileGym, FileTechniques, FileFighter, FileOwnCall } from './parts/gymParts.ts';
import { FileMove, FileCombo, FileComboVersion } from './parts/bookParts.ts';
import { FileSession, FileSheet, FileTheme, FileLibraryItem, FileSeason } from './parts/sessionParts.ts';
import { FileRun, FileRunEvent, FileResult } from './parts/runParts.ts';
import { FileTest, FileAttempt, FileRemovedAttempt } from './parts/trialParts.ts';
export * from './parts/gymParts.ts';
export * from './parts/bookParts.ts';
export * from './parts/sessionParts.ts';
export * from './parts/runParts.ts';
export * from './parts/trialParts.ts';

/*
 * The file in which a gym is taken away and brought in again: flat lists of everything, each thing with its id. A list that is
 * missing stays as it is where the file is brought in.
 */

export const GYM_FILE_FORMAT = 'eurhythm gym';

/** Raised whenever an older file has to be read in another way. */
export const GYM_FILE_VERSION = 1;

/** Largest file that is read. */
export const GYM_FILE_BYTES = 64_000_000;

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

  @IsPart(() => FileSeason)
  seasons?: FileSeason[];

  @IsPart(() => FileGradingDay)
  gradingDays?: FileGradingDay[];

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
