import { SOURCES, type StrikeSource } from '@eurhythm/core/speed';
import { ArrayMaxSize, IsArray, IsBoolean } from 'class-validator';
import { MOST_ONSETS } from '../runs/attempts.ts';
import {
  IsAmount,
  IsLineText,
  IsListOf,
  IsOneOf,
  IsOwnId,
  IsPlainText,
  IsWholeWithin,
  IsWithin,
  IsYesNo,
  LEADS,
  MayBeMissing,
  MayBeNull,
  OrNull,
} from '../rules/index.ts';
import { HeardStrikeDto } from '../strikes/strikes.ts';

/** Stands for the burst of the class in place of a round. */
export const BURST_ROUND = 1000;
/** So many strikes go into one message. */
export const MOST_TOLD = 100;
/** No station hears more people. */
const MOST_PEOPLE = 12;

/** A strike that a station heard, or that one it reported before was none. */
export class ReportedStrikeDto extends HeardStrikeDto {
  @MayBeMissing()
  @IsYesNo()
  withdrawn?: boolean;
}

/** What a station heard of a round since it reported last, and what it hears with. */
export class StationHeardDto {
  /** The same for as long as the station is the same device. */
  @IsOwnId('the station')
  station!: string;

  @IsPlainText('the name', 60)
  name!: string;

  @ArrayMaxSize(MOST_PEOPLE, { message: `A station hears at most ${MOST_PEOPLE} people.` })
  @IsOwnId('a fighter', { each: true })
  @IsArray({ message: 'Whose strikes they are is a list.' })
  fighterIds!: string[];

  /** Null where nobody strikes and it is only tried. */
  @OrNull()
  @IsOneOf('the source', SOURCES)
  source!: StrikeSource | null;

  @IsPlainText('the device', 120)
  device!: string;

  /** What is still to be taken off the strikes: of stations of before; 0 since it is taken off where they come in. */
  @IsWithin('the latency', -1, 2, 'seconds')
  latency!: number;

  @MayBeNull()
  @IsPlainText('the detector', 40)
  detector!: string | null;

  @MayBeNull()
  @IsWithin('the least strength', -200, 200, 'decibels')
  leastStrength!: number | null;

  /** What is to be known of it; empty while all is well. */
  @IsPlainText('the status', 300)
  status!: string;

  /** It does not listen any more. */
  @IsBoolean()
  isGone!: boolean;

  /** A round of the run, or `BURST_ROUND`. */
  @IsWholeWithin('the round', 0, BURST_ROUND, '')
  round!: number;

  /** It listens since this second of the round. */
  @IsWithin('the beginning', 0, 36_000, 'seconds')
  from!: number;

  /** Place of the first of these among all that is reported about the round. */
  @IsWholeWithin('the place', 0, MOST_ONSETS, '')
  since!: number;

  @IsListOf('the strikes', () => ReportedStrikeDto, {
    most: MOST_TOLD,
    tooMany: `At most ${MOST_TOLD} strikes go into one message.`,
  })
  strikes!: ReportedStrikeDto[];
}

/** How many strikes of a round the desk knows from a station by now; what is missing is reported again. */
export class StationKnownView {
  @IsAmount()
  readonly known!: number;
}

/** How a stroke of a combo landed. */
export class LandedStrokeDto {
  @IsWholeWithin('the stroke', 0, 1000, '')
  stroke!: number;

  @IsWholeWithin('the hits', 0, MOST_ONSETS, '')
  hits!: number;

  @IsWholeWithin('the misses', 0, MOST_ONSETS, '')
  misses!: number;

  /** How late it usually came; early is below 0. */
  @OrNull()
  @IsWithin('how late it came', -5, 5, 'seconds')
  off!: number | null;
}

export class LandedComboDto {
  @IsLineText('the combo')
  combo!: string;

  @OrNull()
  @IsOneOf('the lead', LEADS)
  lead!: 'left' | 'right' | null;

  @IsListOf('the strokes', () => LandedStrokeDto, { most: 200 })
  strokes!: LandedStrokeDto[];
}

/** What one fighter did in a round, for everybody to see on the strip. */
export class LandedDto {
  @IsWholeWithin('the round', 0, 1000, '')
  round!: number;

  @IsOwnId('a fighter')
  fighterId!: string;

  @IsWholeWithin('the hits', 0, 20_000, '')
  hits!: number;

  @IsWholeWithin('the misses', 0, 20_000, '')
  misses!: number;

  @IsWholeWithin('the extras', 0, 20_000, '')
  extras!: number;

  /** Dragging above 0, rushing below; seconds. */
  @IsWithin('the bias', -5, 5, 'seconds')
  bias!: number;

  @IsListOf('the combos', () => LandedComboDto, { most: 40 })
  combos!: LandedComboDto[];
}
