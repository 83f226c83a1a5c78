import {
  IsAmount,
  IsCount,
  IsCounts,
  IsListOf,
  IsListed,
  IsPlainText,
  IsText,
  IsWithin,
  IsYesNo,
  MayBeMissing,
  MayBeNull,
} from '../rules/index.ts';

/** Largest recording that is taken, in bytes: an hour and more of a telephone's sound. */
export const STRIKE_SOUND_BYTES = 200_000_000;
/** Longest recording, in seconds. */
export const STRIKE_SOUND_SECONDS = 5400;
/** What can be told apart, in samples a second. */
export const STRIKE_SOUND_RATES = { min: 8000, max: 96_000 } as const;
/** So many strikes are put together at once: an hour of four a second is fewer. */
export const MOST_STRIKES = 20_000;

/** A strike that was heard in a recording. */
export class OnsetView {
  /** Where its sound begins, in seconds from the start. */
  @IsAmount()
  readonly at!: number;

  /** Its loudest 2 ms, in decibels of full scale. */
  @IsAmount()
  readonly strength!: number;

  /** It may have been something else. */
  @MayBeMissing()
  @IsYesNo()
  readonly doubtful?: boolean;
}

export class DetectedStrikes {
  @IsCount()
  readonly sampleRate!: number;

  @IsAmount()
  readonly seconds!: number;

  @IsListed(() => OnsetView)
  readonly onsets!: readonly OnsetView[];

  /** Music plays in it for a while: a drum of it may be among the strikes. */
  @IsYesNo()
  readonly hasMusic!: boolean;

  /** Which making of the detector it was. */
  @IsText()
  readonly detector!: string;
}

const AN_INSTANT = ['the instant', -3600, 86_400, 'seconds'] as const;

/** A strike of a line. */
export class DueStrikeDto {
  @IsWithin(...AN_INSTANT)
  at!: number;

  @MayBeMissing()
  @IsPlainText('the limb', 40)
  limb?: string;
}

/** A strike that was heard, felt or tapped. */
export class HeardStrikeDto {
  @IsWithin(...AN_INSTANT)
  at!: number;

  /** In decibels, or as whoever heard it tells it. */
  @MayBeMissing()
  @IsWithin('the strength', -1000, 1_000_000, '')
  strength?: number;

  @MayBeMissing()
  @IsYesNo()
  doubtful?: boolean;
}

const tooMany = `At most ${MOST_STRIKES} strikes are put together at once.`;

/** What was due, and what was heard. */
export class MatchStrikesDto {
  @IsListOf('the due strikes', () => DueStrikeDto, { most: MOST_STRIKES, tooMany })
  due!: DueStrikeDto[];

  @IsListOf('the heard strikes', () => HeardStrikeDto, { most: MOST_STRIKES, tooMany })
  onsets!: HeardStrikeDto[];

  /** How late the device is, where that is known; else it is worked out. */
  @MayBeNull()
  @IsWithin('the latency', -1, 2, 'seconds')
  latency?: number | null;
}

export class HitView {
  /** Places in what was due and in what was heard. */
  @IsCount()
  readonly due!: number;

  @IsCount()
  readonly onset!: number;

  /** How late it was, in seconds, without the latency. */
  @IsAmount()
  readonly error!: number;
}

/** All in seconds. */
export class StrikeMatchView {
  @IsAmount()
  readonly latency!: number;

  @IsListed(() => HitView)
  readonly hits!: readonly HitView[];

  @IsCounts()
  readonly misses!: readonly number[];

  @IsCounts()
  readonly extras!: readonly number[];

  /** Dragging above 0, rushing below. */
  @IsAmount()
  readonly bias!: number;

  @IsAmount()
  readonly spread!: number;

  @IsAmount()
  readonly drift!: number;
}
