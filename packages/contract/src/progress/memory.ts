import { RECALLS, type Recall } from '@eurhythm/core/progress';
import {
  IsAmong,
  IsAmount,
  IsCount,
  IsInstant,
  IsListed,
  IsListOf,
  IsOneOf,
  IsOwnId,
  IsText,
  IsTexts,
  IsYesNo,
  MayBeNull,
} from '../rules/index.ts';

/** How a combo came to one fighter. */
export class RecallDto {
  @IsOwnId('the answer')
  id!: string;

  @IsOwnId('the fighter')
  fighterId!: string;

  @IsOwnId('the combo')
  comboId!: string;

  @IsOneOf('how it came', RECALLS)
  recall!: Recall;

  @MayBeNull()
  @IsOwnId('the run')
  runId?: string | null;

  @IsInstant('the time')
  at!: string;
}

/** How combos came to a group, asked at once. */
export class SaveRecallsDto {
  @IsListOf('the answers', () => RecallDto, {
    most: 1000,
    tooMany: 'At most 1000 answers are taken at once.',
  })
  recalls!: RecallDto[];
}

/** How well one fighter remembers one combo. */
export class MemoryView {
  @IsText()
  readonly fighterId!: string;

  @IsText()
  readonly comboId!: string;

  @IsText()
  readonly combo!: string;

  /** Chance that it is recalled now, 0 to 1. */
  @IsAmount()
  readonly chance!: number;

  @IsText()
  readonly due!: string;

  @IsYesNo()
  readonly isDue!: boolean;

  @IsYesNo()
  readonly isSlipping!: boolean;

  @IsCount()
  readonly times!: number;

  @IsCount()
  readonly lapses!: number;

  @IsAmong(RECALLS)
  readonly last!: Recall;
}

/** The combos that one fighter has trained lately. */
export class TrainedView {
  @IsText()
  readonly fighterId!: string;

  @IsTexts()
  readonly comboIds!: readonly string[];
}

export class MemoryList {
  @IsListed(() => MemoryView)
  readonly items!: readonly MemoryView[];

  @IsListed(() => TrainedView)
  readonly trained!: readonly TrainedView[];
}
