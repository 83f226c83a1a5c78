import { REQUIREMENT_KINDS, type Requirement } from '@eurhythm/core/progress';
import { ArrayUnique, IsBoolean, ValidateIf } from 'class-validator';
import {
  IsCount,
  IsDay,
  IsListed,
  IsListOf,
  IsOneOf,
  IsOwnId,
  IsPlainLine,
  IsPlainName,
  IsPlainText,
  IsShaped,
  IsTempo,
  IsText,
  IsWholeWithin,
  IsWithin,
  IsYesNo,
  MayBeMissing,
  MayBeNull,
  OrNull,
} from '../rules/index.ts';

const of =
  (...kinds: Requirement['kind'][]) =>
  ({ kind }: RequirementDto): boolean =>
    kinds.includes(kind);

/** One thing that a grade asks for; which fields it has depends on its kind. */
export class RequirementDto {
  @IsOwnId('a requirement')
  id!: string;

  @IsOneOf('what is asked', REQUIREMENT_KINDS)
  kind!: Requirement['kind'];

  @ValidateIf(of('combo'))
  @IsOwnId('the combo')
  comboId?: string;

  @ValidateIf(of('test'))
  @IsOwnId('the test')
  testId?: string;

  @ValidateIf(of('combo', 'test'))
  @IsBoolean({ message: 'Both leads is yes or no.' })
  bothLeads?: boolean;

  /** Null where any tempo will do. */
  @MayBeNull()
  @IsTempo()
  bpm?: number | null;

  @ValidateIf(of('combo', 'test'))
  @IsWholeWithin('how often', 1, 20, '')
  times?: number;

  @ValidateIf(of('test'))
  @IsWithin('the value', 0, 100_000, '')
  value?: number;

  @ValidateIf(of('rounds', 'sessions'))
  @IsWholeWithin('how many', 1, 2000, '')
  count?: number;

  @ValidateIf(of('rounds', 'sessions', 'time'))
  @IsWholeWithin('the weeks', 1, 520, 'weeks')
  weeks?: number;

  @ValidateIf(of('shown'))
  @IsPlainName('what is to be shown', 120)
  text?: string;
}

/** All that a grade asks for, in order. */
export class SaveRequirementsDto {
  @ArrayUnique(({ id }: RequirementDto) => id, { message: 'A requirement stands twice in this list.' })
  @IsListOf('the requirements', () => RequirementDto, {
    most: 60,
    tooMany: 'A grade asks for at most 60 things.',
  })
  requirements!: RequirementDto[];
}

export class RequirementsView extends SaveRequirementsDto {
  @IsText()
  readonly gradeId!: string;

  @IsCount()
  readonly version!: number;
}

export class RequirementsList {
  @IsListed(() => RequirementsView)
  readonly items!: readonly RequirementsView[];
}

/** Something of a grade that the coach saw, or takes back. */
export class MarkShownDto {
  @IsBoolean({ message: 'Seen is yes or no.' })
  isShown!: boolean;

  @IsDay()
  day!: string;

  @IsPlainLine('the name of who saw it', 60)
  by!: string;
}

export class EvidenceView {
  @IsText()
  readonly text!: string;

  @OrNull()
  @IsText()
  readonly day!: string | null;
}

export class GradeLineView {
  @IsShaped(() => RequirementDto)
  readonly requirement!: RequirementDto;

  @IsText()
  readonly asked!: string;

  @IsYesNo()
  readonly isMet!: boolean;

  @IsListed(() => EvidenceView)
  readonly evidence!: readonly EvidenceView[];

  @IsText()
  readonly missing!: string;
}

/** The check list of one fighter for the next grade. */
export class GradeCheckView {
  @IsText()
  readonly fighterId!: string;

  @IsText()
  readonly name!: string;

  @IsText()
  readonly gradeId!: string;

  @IsText()
  readonly grade!: string;

  @IsListed(() => GradeLineView)
  readonly lines!: readonly GradeLineView[];

  @IsCount()
  readonly met!: number;
}

export class GradeCheckList {
  @IsListed(() => GradeCheckView)
  readonly items!: readonly GradeCheckView[];
}

/** How an examiner marked a line of the sheet on a test day. */
export const SHEET_MARKS = ['passed', 'not yet'] as const;

export class SheetLineDto {
  @IsPlainName('what was asked', 200)
  asked!: string;

  /** What the log shows, in words. */
  @IsPlainText('the evidence', 1000)
  evidence!: string;

  /** Null where nobody marked it. */
  @OrNull()
  @IsOneOf('the mark', SHEET_MARKS)
  first!: (typeof SHEET_MARKS)[number] | null;

  @OrNull()
  @IsOneOf('the mark', SHEET_MARKS)
  second!: (typeof SHEET_MARKS)[number] | null;
}

/** What a coach signs: a grade was given, or not yet. */
export class SignGradeDto {
  @IsOwnId('the fighter')
  fighterId!: string;

  @IsOwnId('the grade')
  gradeId!: string;

  @IsDay()
  day!: string;

  @IsBoolean({ message: 'Passed is yes or no.' })
  passed!: boolean;

  /** Who signs. */
  @IsPlainName('the name of who signs', 60)
  signedBy!: string;

  @MayBeMissing()
  @IsPlainLine('the name of the second examiner', 60)
  secondExaminer?: string;

  @IsPlainText('the note', 1000)
  note!: string;

  /** Why it was passed although something is open; empty where nothing is. */
  @MayBeMissing()
  @IsPlainText('the reason', 500)
  reason?: string;

  @IsListOf('the lines of the sheet', () => SheetLineDto, { most: 60 })
  lines!: SheetLineDto[];
}

/** A passed grade that is taken back: by whom, when and why. */
export class WithdrawGradeDto {
  @IsPlainName('the name of who takes it back', 60)
  by!: string;

  @IsDay()
  day!: string;

  @IsPlainName('the reason', 500)
  reason!: string;
}

export class GradingView extends SignGradeDto {
  @IsText()
  readonly id!: string;

  /** Null where it stands. */
  @OrNull()
  @IsShaped(() => WithdrawGradeDto)
  readonly withdrawn!: WithdrawGradeDto | null;

  @IsText()
  readonly grade!: string;
}

export class GradingList {
  @IsListed(() => GradingView)
  readonly items!: readonly GradingView[];
}

/** What was checked field by field, as the core reads it. */
export function requirementOf(dto: RequirementDto): Requirement {
  const { bpm = null, ...rest } = dto;
  return (rest.kind === 'combo' ? { ...rest, bpm } : rest) as Requirement;
}
