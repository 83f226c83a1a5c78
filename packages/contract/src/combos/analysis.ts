import { LEADS } from '../rules/index.ts';
import {
  IsAmong,
  IsAmount,
  IsAmounts,
  IsCount,
  IsLineText,
  IsListed,
  IsOneOf,
  IsOwnId,
  IsShaped,
  IsTempo,
  IsText,
  IsWholeWithin,
  IsWithin,
  IsYesNo,
  MayBeMissing,
  MayBeNull,
  OrNull,
} from '../rules/index.ts';

/** Beats in a bar, and in one time through. */
export const BAR_LIMITS = { min: 1, max: 12 } as const;
export const CYCLE_LIMITS = { min: 1, max: 64 } as const;

export const PACES = ['novice', 'club', 'sharp'] as const;

export class AnalyseComboDto {
  @IsLineText()
  line!: string;

  @IsOneOf('the lead', LEADS)
  lead!: 'left' | 'right';

  @MayBeMissing()
  @IsOneOf('the pace', PACES)
  pace?: (typeof PACES)[number];

  @MayBeMissing()
  @IsTempo()
  bpm?: number;

  /** Beats in a bar, to which the length of one time through is rounded up. */
  @MayBeMissing()
  @IsWholeWithin('the bar', BAR_LIMITS.min, BAR_LIMITS.max, 'beats')
  beatsPerBar?: number;

  /** Length of one time through, where the coach sets it. */
  @MayBeNull()
  @IsWithin('the cycle', CYCLE_LIMITS.min, CYCLE_LIMITS.max, 'beats')
  cycleBeats?: number | null;

  /** For whom the line is; without it nobody's limits are asked. */
  @MayBeMissing()
  @IsOwnId('the grade')
  gradeId?: string;
}

/** One stroke as `POST /api/combos/analyse` tells it. Beats are exact fractions, "3/2". */
export class StrokeView {
  @IsCount()
  readonly index!: number;

  @IsText()
  readonly text!: string;

  @IsText()
  readonly move!: string;

  @IsAmong(['fighter', 'holder'])
  readonly by!: 'fighter' | 'holder';

  @IsText()
  readonly limb!: string;

  @OrNull()
  @IsAmong(['front', 'rear'])
  readonly side!: 'front' | 'rear' | null;

  @OrNull()
  @IsAmong(['head', 'body', 'low'])
  readonly level!: 'head' | 'body' | 'low' | null;

  @IsText()
  readonly beat!: string;

  @IsAmong(LEADS)
  readonly leadBefore!: 'left' | 'right';

  @IsAmong(LEADS)
  readonly leadAfter!: 'left' | 'right';

  @IsYesNo()
  readonly feint!: boolean;

  @IsAmong(['touch', 'normal', 'full'])
  readonly power!: 'touch' | 'normal' | 'full';

  @IsYesNo()
  readonly conditional!: boolean;

  @IsYesNo()
  readonly shout!: boolean;

  @IsCount()
  readonly from!: number;

  @IsCount()
  readonly to!: number;
}

export class LeadChangeView {
  @IsText()
  readonly beat!: string;

  @IsAmong(LEADS)
  readonly to!: 'left' | 'right';

  @IsText()
  readonly how!: string;
}

export class FoundRiskView {
  @IsText()
  readonly move!: string;

  @IsText()
  readonly text!: string;
}

export class FindingView {
  @IsText()
  readonly rule!: string;

  @IsAmong(['note', 'caution', 'cannot'])
  readonly severity!: 'note' | 'caution' | 'cannot';

  @IsCount()
  readonly from!: number;

  @IsCount()
  readonly to!: number;

  @IsAmounts()
  readonly strokes!: readonly number[];

  @IsText()
  readonly message!: string;

  /** Of a risk of the book: the move that has it. */
  @MayBeMissing()
  @IsShaped(() => FoundRiskView)
  readonly risk?: FoundRiskView;
}

export class LimitView {
  @IsCount()
  readonly fromStroke!: number;

  @IsCount()
  readonly toStroke!: number;

  @IsAmount()
  readonly seconds!: number;

  @IsText()
  readonly reason!: string;
}

/** How fast the line can follow itself. */
export class RepeatView {
  /** From the start of one time through to the next. */
  @IsAmount()
  readonly beats!: number;

  @OrNull()
  @IsCount()
  readonly fastestBpm!: number | null;

  @OrNull()
  @IsShaped(() => LimitView)
  readonly limit!: LimitView | null;
}

/** Steps from where the line began: toward the opponent, and to the fighter's left. */
export class PlaceView {
  @IsAmount()
  readonly forward!: number;

  @IsAmount()
  readonly left!: number;
}

/** How the fighter stands at the end. */
export class EndView {
  @IsAmong(LEADS)
  readonly lead!: 'left' | 'right';

  /** Degrees away from the opponent, clockwise from above. */
  @IsAmount()
  readonly facing!: number;

  @IsShaped(() => PlaceView)
  readonly place!: PlaceView;

  @IsText()
  readonly stance!: string;
}

/** A line that was read. */
export class ReadLineView {
  @IsYesNo()
  readonly ok!: true;

  @IsText()
  readonly beats!: string;

  @IsListed(() => StrokeView)
  readonly strokes!: readonly StrokeView[];

  @IsAmong(LEADS)
  readonly endLead!: 'left' | 'right';

  @IsShaped(() => EndView)
  readonly end!: EndView;

  @IsListed(() => LeadChangeView)
  readonly leadChanges!: readonly LeadChangeView[];

  @OrNull()
  @IsCount()
  readonly fastestBpm!: number | null;

  @OrNull()
  @IsShaped(() => LimitView)
  readonly limit!: LimitView | null;

  @OrNull()
  @IsShaped(() => RepeatView)
  readonly repeat!: RepeatView | null;

  @IsListed(() => FindingView)
  readonly findings!: readonly FindingView[];
}

export class LineErrorView {
  @IsCount()
  readonly from!: number;

  @IsCount()
  readonly to!: number;

  @IsText()
  readonly message!: string;

  @IsText()
  readonly expected!: string;

  @OrNull()
  @IsText()
  readonly hint!: string | null;
}

/** A line that could not be read, with every fault in it. */
export class UnreadLineView {
  @IsYesNo()
  readonly ok!: false;

  @IsListed(() => LineErrorView)
  readonly errors!: readonly LineErrorView[];
}

export type AnalysisView = ReadLineView | UnreadLineView;
