import { FighterView } from '../fighters/fighters.ts';
import { IsAmong, IsCount, IsListed, IsShaped, IsText, LEADS, OrNull } from '../rules/index.ts';
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

/** A burst of the last days that was the fighter's best so far, beside the best before. */
export class BestBurstView {
  @IsText()
  readonly fighterId!: string;

  @IsText()
  readonly name!: string;

  @IsText()
  readonly title!: string;

  @IsAmong(LEADS)
  readonly lead!: 'left' | 'right';

  @IsCount()
  readonly count!: number;

  @IsCount()
  readonly before!: number;

  @IsCount()
  readonly trials!: number;

  @IsText()
  readonly at!: string;
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

  @IsListed(() => BestBurstView)
  readonly bestBursts!: readonly BestBurstView[];
}
