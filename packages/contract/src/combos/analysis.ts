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
  IsYesNo,
  MayBeMissing,
  OrNull,
} from '../rules/index.ts';

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

  @IsListed(() => LeadChangeView)
  readonly leadChanges!: readonly LeadChangeView[];

  @OrNull()
  @IsCount()
  readonly fastestBpm!: number | null;

  @OrNull()
  @IsShaped(() => LimitView)
  readonly limit!: LimitView | null;

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
