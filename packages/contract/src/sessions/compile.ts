import {
  type BlockCombo,
  type CompiledRound,
  type Cue,
  type Cycle,
  type PlacedClip,
  type RoundFinding,
  type TempoShift,
  type TimeCall,
} from '@eurhythm/core/rounds';
import type { AnyBlockDto } from '../blocks/index.ts';
import { VOICES, type VoiceId } from '../gym/voice.ts';
import {
  IsAmong,
  IsAmount,
  IsCount,
  IsListOf,
  IsListed,
  IsOneOf,
  IsPlainLine,
  IsShaped,
  IsText,
  IsWholeWithin,
  IsWithin,
  IsYesNo,
  LEADS,
  MayBeMissing,
  OrNull,
} from '../rules/index.ts';
import { IsBlocks, IsTimeCalls } from './sessions.ts';

/** Longest round, to where a change can be placed in it. */
const LONGEST_ROUND = 36_000;

export class TempoShiftDto implements TempoShift {
  @IsWithin('the place of the change', 0, LONGEST_ROUND, 'seconds')
  from!: number;

  @IsWithin('the change of tempo', -200, 200, 'beats a minute')
  by!: number;
}

/** Blocks of which every word is to be fetched beforehand. */
export class PlanBlocksDto {
  @IsBlocks()
  blocks!: AnyBlockDto[];

  /** Without it, the gym's own choice. */
  @MayBeMissing()
  @IsOneOf('the voice', VOICES)
  voice?: VoiceId;

  @MayBeMissing()
  @IsPlainLine('the word of the day', 40)
  word?: string;

  @IsTimeCalls()
  timeCalls?: TimeCall[];
}

export class CompileRoundDto extends PlanBlocksDto {
  @IsOneOf('the lead', LEADS)
  lead!: 'left' | 'right';

  @IsWholeWithin('the seed', 0, 0xffffffff, '')
  seed!: number;

  /** Changes of tempo made while the round runs. */
  @MayBeMissing()
  @IsListOf('the changes of tempo', () => TempoShiftDto, {
    most: 500,
    tooMany: 'There are at most 500 changes of tempo.',
  })
  shifts?: TempoShiftDto[];
}

export class PlacedClipView implements PlacedClip {
  @IsText()
  readonly id!: string;

  @IsAmount()
  readonly start!: number;

  @IsAmount()
  readonly seconds!: number;

  @IsAmount()
  readonly centre!: number;

  @IsAmount()
  readonly rate!: number;
}

export class CueView implements Cue {
  @IsAmount()
  readonly at!: number;

  @IsAmong(['call', 'tick', 'bell', 'count', 'time', 'stance', 'strike', 'show'])
  readonly kind!: Cue['kind'];

  @IsText()
  readonly text!: string;

  @IsText()
  readonly block!: string;

  @MayBeMissing()
  @IsText()
  readonly combo?: string;

  @MayBeMissing()
  @IsCount()
  readonly cycle?: number;

  @MayBeMissing()
  @IsCount()
  readonly stroke?: number;

  @MayBeMissing()
  @IsText()
  readonly limb?: NonNullable<Cue['limb']>;

  @MayBeMissing()
  @OrNull()
  @IsAmong(['head', 'body', 'low'])
  readonly level?: Cue['level'];

  @MayBeMissing()
  @IsAmong(['touch', 'normal', 'full'])
  readonly power?: NonNullable<Cue['power']>;

  /** Of a strike that nobody hears: a step, a block, a feint, what the holder does. */
  @MayBeMissing()
  @IsYesNo()
  readonly silent?: true;

  @MayBeMissing()
  @IsAmong(LEADS)
  readonly lead?: 'left' | 'right';

  @MayBeMissing()
  @IsText()
  readonly sound?: NonNullable<Cue['sound']>;

  @MayBeMissing()
  @IsShaped(() => PlacedClipView)
  readonly clip?: PlacedClipView;
}

class CycleLaneView {
  @IsText()
  readonly group!: string;

  @IsText()
  readonly combo!: string;
}

export class CycleView implements Cycle {
  @IsAmount()
  readonly at!: number;

  @IsText()
  readonly block!: string;

  @IsText()
  readonly combo!: string;

  @IsCount()
  readonly cycle!: number;

  @IsAmong(LEADS)
  readonly lead!: 'left' | 'right';

  @IsAmount()
  readonly beats!: number;

  @IsAmount()
  readonly beatSeconds!: number;

  @OrNull()
  @IsAmount()
  readonly intensity!: number | null;

  @MayBeMissing()
  @IsListed(() => CycleLaneView)
  readonly lanes?: readonly CycleLaneView[];
}

export class RoundFindingView implements RoundFinding {
  @IsText()
  readonly rule!: RoundFinding['rule'];

  @IsAmong(['note', 'caution'])
  readonly severity!: RoundFinding['severity'];

  @IsAmount()
  readonly at!: number;

  @IsText()
  readonly block!: string;

  @IsText()
  readonly message!: string;
}

export class BlockComboView implements BlockCombo {
  @IsText()
  readonly id!: string;

  @IsText()
  readonly grade!: string;

  @IsCount()
  readonly number!: number;

  @IsText()
  readonly title!: string;

  @IsText()
  readonly line!: string;

  @IsCount()
  readonly beatsPerBar!: number;

  @MayBeMissing()
  @OrNull()
  @IsAmount()
  readonly cycleBeats?: number | null;
}

/** A compiled round with the combos that its cues name. */
export class CompiledRoundView implements CompiledRound {
  @IsAmount()
  readonly duration!: number;

  @IsListed(() => CueView)
  readonly cues!: readonly Cue[];

  @IsListed(() => CycleView)
  readonly cycles!: readonly Cycle[];

  @IsListed(() => RoundFindingView)
  readonly findings!: readonly RoundFinding[];

  @IsListed(() => BlockComboView)
  readonly combos!: readonly BlockCombo[];
}
