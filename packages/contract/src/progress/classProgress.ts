import { VERDICTS, type Verdict } from '@eurhythm/core/progress';
import {
  IsAmong,
  IsAmount,
  IsAmounts,
  IsCount,
  IsListed,
  IsOwnId,
  IsPlainText,
  IsShaped,
  IsText,
  LEADS,
  MayBeMissing,
  OrNull,
} from '../rules/index.ts';

/** Which grade is asked about; all of them without. */
export class GradeQuery {
  @MayBeMissing()
  @IsOwnId('the grade')
  gradeId?: string;
}

/** Which part of the gym is asked about; all of it without. */
export class ClassQuery extends GradeQuery {
  /** The test that stands in the table; the most usual one without. */
  @MayBeMissing()
  @IsOwnId('the test')
  testId?: string;
}

/** Who is asked about; everybody who may train without. */
export class WhoQuery {
  /** Ids with commas between them. */
  @MayBeMissing()
  @IsPlainText('who is asked about', 8000)
  who?: string;
}

/** Whose tempos are asked about; of each combo that was marked, or of these, marked or not. */
export class TempoQuery extends WhoQuery {
  /** Ids with commas between them. */
  @MayBeMissing()
  @IsPlainText('the combos', 8000)
  combos?: string;
}

/** One fighter of a class. */
export class ClassRowView {
  @IsText()
  readonly fighterId!: string;

  @IsText()
  readonly name!: string;

  @IsText()
  readonly grade!: string;

  @IsAmong(LEADS)
  readonly lead!: 'left' | 'right';

  /** The middle of each day of the test, the oldest first, over half a year. */
  @IsAmounts()
  readonly line!: readonly number[];

  @OrNull()
  @IsAmount()
  readonly usual!: number | null;

  @OrNull()
  @IsAmong(VERDICTS)
  readonly month!: Verdict | null;

  @IsText()
  readonly sentence!: string;

  /** Classes of the last four weeks, and the day of the last one. */
  @IsCount()
  readonly classes!: number;

  @OrNull()
  @IsText()
  readonly last!: string | null;

  /** Percent by which the leads differ; null where nothing is known. */
  @OrNull()
  @IsAmount()
  readonly evenness!: number | null;

  @OrNull()
  @IsAmong(LEADS)
  readonly behind!: 'left' | 'right' | null;

  /** Combos that are due to be asked again. */
  @IsCount()
  readonly due!: number;
}

/** The tests that a class table can show. */
export class ClassTestView {
  @IsText()
  readonly id!: string;

  @IsText()
  readonly title!: string;

  @IsCount()
  readonly trials!: number;
}

/** Who came in a week: how many classes it had, and how many people each on average. */
export class AttendedWeekView {
  /** Its Monday. */
  @IsText()
  readonly week!: string;

  @IsCount()
  readonly classes!: number;

  @IsAmount()
  readonly people!: number;
}

/** Who came over half a year, weeks without a class too. */
export class AttendedWeekList {
  @IsListed(() => AttendedWeekView)
  readonly items!: readonly AttendedWeekView[];
}

/** How a class comes on. */
export class ClassProgress {
  @OrNull()
  @IsShaped(() => ClassTestView)
  readonly test!: ClassTestView | null;

  @IsListed(() => ClassTestView)
  readonly tests!: readonly ClassTestView[];

  @IsListed(() => ClassRowView)
  readonly rows!: readonly ClassRowView[];
}

export const QUESTION_KINDS = [
  'improved',
  'slipped',
  'away',
  'lead behind',
  'lead neglected',
  'limb neglected',
  'test due',
  'combos due',
  'combo up',
  'grade near',
  'goal reached',
  'loose long',
  'wild lately',
  'sits out',
] as const;

/** Something that the log says today, with its numbers, and what can be done about it. */
export class QuestionView {
  @IsAmong(QUESTION_KINDS)
  readonly kind!: (typeof QUESTION_KINDS)[number];

  /** Whom it is about; null for a whole class. */
  @OrNull()
  @IsText()
  readonly fighterId!: string | null;

  @IsText()
  readonly name!: string;

  @IsText()
  readonly sentence!: string;

  /** The goal that is reached, where that is what it says. */
  @MayBeMissing()
  @IsText()
  readonly goalId?: string;

  /** The page that does something about it. */
  @IsText()
  readonly to!: string;

  @IsText()
  readonly action!: string;

  /** By which it is answered. */
  @IsText()
  readonly key!: string;
}

/** A question that was answered: the same is not asked again within a week. */
export class AnswerQuestionDto {
  @IsPlainText('the question', 200)
  key!: string;

  @IsPlainText('the sentence', 1000)
  sentence!: string;
}

export class QuestionList {
  @IsListed(() => QuestionView)
  readonly items!: readonly QuestionView[];
}
