import type { Block, CountWords, Phase, TimeCall } from '@eurhythm/core/rounds';
import { COUNT_LANGUAGES } from '@eurhythm/core/calls';
import { RunView } from './runs.ts';
import { BlockDto } from '../blocks/index.ts';
import { ClipView } from '../gym/voice.ts';
import { FighterPaceView } from '../progress/paceViews.ts';
import { BookView } from '../moves/numbers.ts';
import {
  IsAmong,
  IsAmount,
  IsListed,
  IsShaped,
  IsText,
  IsTexts,
  LEADS,
  MayBeMissing,
} from '../rules/index.ts';

/** What is counted in, with the gym's own words. */
export class CountWordsView implements CountWords {
  @IsAmong(COUNT_LANGUAGES)
  readonly language!: CountWords['language'];

  @IsTexts()
  readonly own!: readonly string[];
}

/** Everything with which blocks are compiled anywhere: the combos in their places, and what the voice may say. */
export class BlocksPlanView {
  @IsListed(() => BlockDto)
  readonly blocks!: readonly Block[];

  @IsShaped(() => CountWordsView)
  readonly count!: CountWordsView;

  @IsListed(() => ClipView)
  readonly clips!: readonly ClipView[];

  /** Pace of the gym, as a factor on the times of the book. */
  @IsAmount()
  readonly factor!: number;
}

export class PlannedRoundView {
  @IsText()
  readonly id!: string;

  @IsText()
  readonly title!: string;

  @IsText()
  readonly kind!: Phase;

  @IsListed(() => BlockDto)
  readonly blocks!: readonly Block[];

  @MayBeMissing()
  @IsTexts()
  readonly timeCalls?: readonly TimeCall[];
}

/** A whole run, given once: with it a device plays, skips, repeats and changes the tempo without asking anybody. */
export class RunPlanView {
  @IsText()
  readonly runId!: string;

  @IsAmong(LEADS)
  readonly lead!: 'left' | 'right';

  @IsText()
  readonly word!: string;

  @IsShaped(() => CountWordsView)
  readonly count!: CountWordsView;

  @IsListed(() => PlannedRoundView)
  readonly rounds!: readonly PlannedRoundView[];

  @IsShaped(() => BookView)
  readonly book!: BookView;

  /** Every clip that these rounds, and a burst between them, may call. */
  @IsListed(() => ClipView)
  readonly clips!: readonly ClipView[];

  /** Pace of the gym, as a factor on the times of the book. */
  @IsAmount()
  readonly factor!: number;

  /** The own pace of those of the run whose pace was measured. */
  @MayBeMissing()
  @IsListed(() => FighterPaceView)
  readonly paces?: readonly FighterPaceView[];
}

/** A run as it would begin now, with its plan, so that a device begins it even when the server is away. */
export class BeginningView {
  @IsShaped(() => RunView)
  readonly run!: RunView;

  @IsShaped(() => RunPlanView)
  readonly plan!: RunPlanView;
}
