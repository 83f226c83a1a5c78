import { FighterView } from '../fighters/fighters.ts';
import { IsCount, IsListed, IsShaped, IsText, OrNull } from '../rules/index.ts';
import { ThemeView } from '../sessions/calendar.ts';
import { SessionSummary } from '../sessions/sessions.ts';

export class RunningView {
  @IsText()
  readonly id!: string;

  @IsText()
  readonly title!: string;
}

export class LastRunView {
  @IsText()
  readonly id!: string;

  @IsText()
  readonly title!: string;

  @IsText()
  readonly at!: string;

  @IsCount()
  readonly finished!: number;

  @IsCount()
  readonly part!: number;

  @IsCount()
  readonly satOut!: number;
}

export class TodayView {
  @OrNull()
  @IsShaped(() => SessionSummary)
  readonly next!: SessionSummary | null;

  /** What these days are about, where the calendar says so. */
  @IsListed(() => ThemeView)
  readonly themes!: readonly ThemeView[];

  @OrNull()
  @IsShaped(() => RunningView)
  readonly running!: RunningView | null;

  @IsListed(() => FighterView)
  readonly expected!: readonly FighterView[];

  @OrNull()
  @IsShaped(() => LastRunView)
  readonly lastRun!: LastRunView | null;
}
