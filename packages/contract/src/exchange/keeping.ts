import {
  IsAmount,
  IsCount,
  IsListed,
  IsOneOf,
  IsOwnId,
  IsText,
  IsTexts,
  IsYesNo,
  MayBeMissing,
  OrNull,
} from '../rules/index.ts';

/** What is taken away: everything, or what belongs to one thing. */
export class ExportQuery {
  /** The combos of a grade, with what they need. */
  @MayBeMissing()
  @IsOwnId('the grade')
  grade?: string;

  /** A piece of the library, with the combos that it names. */
  @MayBeMissing()
  @IsOwnId('the piece of the library')
  library?: string;

  /** Everything that is kept about one fighter. */
  @MayBeMissing()
  @IsOwnId('the fighter')
  fighter?: string;
}

export class ImportQuery {
  /** "yes" to see what would be done; nothing is changed then. */
  @MayBeMissing()
  @IsOneOf('the preview', ['yes', 'no'])
  preview?: 'yes' | 'no';
}

/** What is or would be done with one list of a file. */
export class ImportedPart {
  /** What the things are called, as "combos". */
  @IsText()
  readonly name!: string;

  @IsCount()
  readonly added!: number;

  @IsCount()
  readonly changed!: number;

  @IsCount()
  readonly same!: number;
}

export class ImportReport {
  /** Whether it was done; false for a preview. */
  @IsYesNo()
  readonly done!: boolean;

  @IsListed(() => ImportedPart)
  readonly parts!: readonly ImportedPart[];

  /** What is brought in otherwise than it stands in the file, in sentences. */
  @IsTexts()
  readonly notes!: readonly string[];
}

/** What is asked before something is gone for good. */
export class SureQuery {
  @IsOneOf('the answer to “are you sure?”', ['yes'])
  sure!: 'yes';
}

export class BackupView {
  /** As its file is called. */
  @IsText()
  readonly name!: string;

  @IsText()
  readonly madeAt!: string;

  /** Why it was made, in words. */
  @IsText()
  readonly why!: string;

  @IsAmount()
  readonly bytes!: number;

  /** Whether it was opened and holds what it says. */
  @IsYesNo()
  readonly checked!: boolean;

  /** Of so many people data was erased after it was made: it may hold them still, and they are forgotten when it is brought back. */
  @IsCount()
  readonly erasedSince!: number;
}

export class BackupList {
  @IsListed(() => BackupView)
  readonly items!: readonly BackupView[];

  /** Why the last one could not be made; null when it could. */
  @OrNull()
  @IsText()
  readonly trouble!: string | null;
}

/** Something that was done to the data of people or of the whole gym; names nobody. */
export class AuditLineView {
  @IsText()
  readonly at!: string;

  @IsText()
  readonly what!: string;
}

/** Whether the demonstration gym is in here, and what was done to the data of people. */
export class KeepingView {
  @IsYesNo()
  readonly demo!: boolean;

  @IsListed(() => AuditLineView)
  readonly audit!: readonly AuditLineView[];
}
