import { WORK_LIMBS, type WorkLimb } from '@eurhythm/core/rounds';
import { IsAmong, IsAmount, IsCount, IsListed, IsShaped, IsText, OrNull } from '../rules/index.ts';

export class LimbCountView {
  @IsAmount()
  readonly 'left-hand'!: number;

  @IsAmount()
  readonly 'right-hand'!: number;

  @IsAmount()
  readonly 'left-leg'!: number;

  @IsAmount()
  readonly 'right-leg'!: number;
}

export class VolumeWeekView {
  /** Its Monday. */
  @IsText()
  readonly week!: string;

  @IsCount()
  readonly planned!: number;

  @IsCount()
  readonly done!: number;

  @IsShaped(() => LimbCountView)
  readonly limbs!: LimbCountView;

  /** Classes of which something was done. */
  @IsCount()
  readonly classes!: number;
}

/** Strikes by limb and week over half a year: of what goes by the beat or is counted. */
export class VolumeView {
  @IsListed(() => VolumeWeekView)
  readonly weeks!: readonly VolumeWeekView[];

  /** How many times the mean of the four weeks before the newest week is, above 1.5. */
  @OrNull()
  @IsAmount()
  readonly jump!: number | null;

  @OrNull()
  @IsShaped(() => LimbCountView)
  readonly shares!: LimbCountView | null;

  @OrNull()
  @IsAmong(WORK_LIMBS)
  readonly neglected!: WorkLimb | null;
}

/** How often somebody did a move since the first day. */
export class MoveTotalView {
  @IsText()
  readonly move!: string;

  @IsCount()
  readonly done!: number;

  /** Of those, in the last four weeks. */
  @IsCount()
  readonly lately!: number;
}

/** The count of each move since the first day, what was done most first. */
export class LifetimeView {
  @IsListed(() => MoveTotalView)
  readonly moves!: readonly MoveTotalView[];

  /** The day of the first round; null before it. */
  @OrNull()
  @IsText()
  readonly since!: string | null;

  /** How many repetitions of a move the gym works towards; null where it names no number. */
  @OrNull()
  @IsCount()
  readonly towards!: number | null;
}
