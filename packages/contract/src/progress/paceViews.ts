import { PAIR_CLASSES, type PairClass } from '@eurhythm/core/body';
import { IsAmong, IsAmount, IsCount, IsListed, IsText, IsYesNo, OrNull } from '../rules/index.ts';
import { QUALITIES } from '../runs/runs.ts';

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

/** A set of a combo that was marked. */
export class MarkedSetView {
  @IsText()
  readonly runId!: string;

  @IsAmount()
  readonly bpm!: number;

  @IsAmong(QUALITIES)
  readonly quality!: (typeof QUALITIES)[number];
}

/** The next tempo of a combo for one fighter, and why. */
export class TempoView {
  @IsText()
  readonly fighterId!: string;

  /** Of the fighter. */
  @IsText()
  readonly name!: string;

  @IsText()
  readonly comboId!: string;

  @IsText()
  readonly combo!: string;

  @IsAmount()
  readonly bpm!: number;

  /** The fastest that this body does cleanly over and over. */
  @IsAmount()
  readonly clean!: number;

  /** Of the last set that was marked; null where none was. */
  @OrNull()
  @IsAmount()
  readonly last!: number | null;

  @IsText()
  readonly sentence!: string;

  /** What was marked, oldest first. */
  @IsListed(() => MarkedSetView)
  readonly sets!: readonly MarkedSetView[];
}

export class TempoList {
  @IsListed(() => TempoView)
  readonly items!: readonly TempoView[];
}
