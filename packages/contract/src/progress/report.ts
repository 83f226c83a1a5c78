import { IsDay, IsListed, IsOwnId, IsPlainText, IsText, IsTexts, MayBeMissing } from '../rules/index.ts';

/** Whose reports are asked for, and of which time. */
export class ReportQuery {
  /** Two days, both of them included. */
  @IsDay()
  from!: string;

  @IsDay()
  to!: string;

  /** Everybody of a grade; everybody who may train without. */
  @MayBeMissing()
  @IsOwnId('the grade')
  gradeId?: string;

  /** Ids with commas between them. */
  @MayBeMissing()
  @IsPlainText('who is asked about', 8000)
  who?: string;
}

export class ReportPartView {
  @IsText()
  readonly title!: string;

  @IsTexts()
  readonly sentences!: readonly string[];
}

/** One page about one person, in plain words; nobody else is named in it. */
export class ReportView {
  @IsText()
  readonly fighterId!: string;

  @IsText()
  readonly name!: string;

  @IsListed(() => ReportPartView)
  readonly parts!: readonly ReportPartView[];
}

export class ReportList {
  @IsListed(() => ReportView)
  readonly items!: readonly ReportView[];
}
