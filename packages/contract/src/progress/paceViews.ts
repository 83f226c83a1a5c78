import { PAIR_CLASSES, type PairClass } from '@eurhythm/core/body';
import { IsAmong, IsAmount, IsCount, IsListed, IsText, IsYesNo } from '../rules/index.ts';

/** How quick somebody is in one kind of pair, times the book at sharp pace. */
export class PairPaceView {
  @IsAmong(PAIR_CLASSES)
  readonly pair!: PairClass;

  @IsAmount()
  readonly factor!: number;

  @IsAmount()
  readonly gym!: number;

  @IsCount()
  readonly gaps!: number;

  @IsYesNo()
  readonly atMost!: boolean;
}

export class PaceView {
  @IsAmount()
  readonly base!: number;

  /** What is assumed of everybody in the gym. */
  @IsAmount()
  readonly gym!: number;

  @IsCount()
  readonly combos!: number;

  @IsListed(() => PairPaceView)
  readonly pairs!: readonly PairPaceView[];
}

/** The pace of one of a class whose pace was measured. */
export class FighterPaceView extends PaceView {
  @IsText()
  readonly fighterId!: string;
}

export class PaceList {
  @IsListed(() => FighterPaceView)
  readonly items!: readonly FighterPaceView[];
}

/** The next tempo of a combo for one fighter, and why. */
export class TempoView {
  @IsText()
  readonly fighterId!: string;

  @IsText()
  readonly comboId!: string;

  @IsText()
  readonly combo!: string;

  @IsAmount()
  readonly bpm!: number;

  @IsAmount()
  readonly last!: number;

  @IsText()
  readonly sentence!: string;
}

export class TempoList {
  @IsListed(() => TempoView)
  readonly items!: readonly TempoView[];
}
