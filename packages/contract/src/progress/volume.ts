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
