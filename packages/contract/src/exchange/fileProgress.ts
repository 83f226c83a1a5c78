import type { MemoryCard } from '@eurhythm/core/progress';
import { Type } from 'class-transformer';
import { IsObject, ValidateNested } from 'class-validator';
import { RecallDto } from '../progress/memory.ts';
import { SaveGoalDto } from '../progress/goals.ts';
import { SaveGradingDayDto } from '../progress/gradingDays.ts';
import { RequirementDto, SignGradeDto, WithdrawGradeDto } from '../progress/gradeChecks.ts';
import { IsDay, IsListOf, IsOwnId, IsPlainLine, IsPlainName, MayBeNull } from '../rules/index.ts';

/** What a grade asks for. */
export class FileRequirements {
  @IsOwnId('the grade')
  gradeId!: string;

  @IsListOf('the requirements', () => RequirementDto, {
    most: 60,
    tooMany: 'A grade asks for at most 60 things.',
  })
  requirements!: RequirementDto[];
}

/** What a coach saw of what a grade asks for. */
export class FileShownMark {
  @IsOwnId('a fighter')
  fighterId!: string;

  @IsOwnId('a requirement')
  requirementId!: string;

  @IsDay()
  day!: string;

  @IsPlainLine('the name of who saw it', 60)
  by!: string;
}

/** A sheet that was signed, with the name that its grade had. */
export class FileGrading extends SignGradeDto {
  @IsOwnId('a sheet')
  id!: string;

  @IsPlainName('the grade')
  grade!: string;

  /** The grade before it, which comes back where it is taken back. */
  @MayBeNull()
  @IsOwnId('the grade before')
  previousGradeId: string | null = null;

  @MayBeNull()
  @ValidateNested()
  @Type(() => WithdrawGradeDto)
  withdrawn: WithdrawGradeDto | null = null;
}

export class FileGradingDay extends SaveGradingDayDto {
  @IsOwnId('a grading')
  id!: string;
}

export class FileGoal extends SaveGoalDto {
  @IsOwnId('a goal')
  id!: string;

  /** The day on which somebody was told that it is reached. */
  @MayBeNull()
  @IsDay()
  toldOn: string | null = null;
}

export class FileRecall extends RecallDto {
  /** What the scheduler made of it. */
  @IsObject({ message: 'The card of an answer has its fields.' })
  card!: MemoryCard;
}
