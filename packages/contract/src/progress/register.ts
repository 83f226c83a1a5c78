import { Matches } from 'class-validator';
import { IsCount, IsListed, IsText, IsTexts } from '../rules/index.ts';
import { GradeQuery } from './classProgress.ts';

/** Which month the register is of; of all grades, or of one. */
export class RegisterQuery extends GradeQuery {
  @Matches(/^\d{4}-(0[1-9]|1[0-2])$/, { message: 'The month is written like 2026-03.' })
  month!: string;
}

/** How somebody was in a class: trained, only there, or not there. */
export const CAME = ['trained', 'was there', ''] as const;

export class RegisterClassView {
  @IsText()
  readonly runId!: string;

  @IsText()
  readonly title!: string;

  /** Like 2026-03-05. */
  @IsText()
  readonly day!: string;

  /** How many trained in it. */
  @IsCount()
  readonly trained!: number;
}

export class RegisterRowView {
  @IsText()
  readonly fighterId!: string;

  @IsText()
  readonly name!: string;

  @IsText()
  readonly grade!: string;

  /** For each class of the month, in their order. */
  @IsTexts()
  readonly came!: readonly (typeof CAME)[number][];

  /** In how many of them something was done. */
  @IsCount()
  readonly trained!: number;
}

/** Who was in which class of a month. */
export class RegisterView {
  @IsText()
  readonly month!: string;

  /** The oldest first. */
  @IsListed(() => RegisterClassView)
  readonly classes!: readonly RegisterClassView[];

  @IsListed(() => RegisterRowView)
  readonly rows!: readonly RegisterRowView[];
}
