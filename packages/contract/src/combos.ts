import type { LineError } from '@eurhythm/core/line';
import { IsBoolean, IsOptional, IsString, MaxLength } from 'class-validator';
import { IsOneOf, IsOwnId, IsPlainName, IsPlainText, IsTempo, IsWholeWithin, LEADS } from './fields.ts';

export const PACES = ['novice', 'club', 'sharp'] as const;

/** A line is read whole, so that an over-long one gets the grammar's own sentence; this only stops floods. */
const LINE_FLOOD = 20_000;

export class AnalyseComboDto {
  @IsString({ message: 'The line is a text.' })
  @MaxLength(LINE_FLOOD, { message: 'This text is far too long for a line.' })
  line!: string;

  @IsOneOf('the lead', LEADS)
  lead!: 'left' | 'right';

  @IsOptional()
  @IsOneOf('the pace', PACES)
  pace?: (typeof PACES)[number];

  @IsOptional()
  @IsTempo()
  bpm?: number;

  /** For whom the line is; without it nobody's limits are asked. */
  @IsOptional()
  @IsOwnId('the grade')
  gradeId?: string;
}

export class SaveComboDto {
  @IsOwnId('the grade')
  gradeId!: string;

  @IsWholeWithin('the number', 1, 99, '')
  number!: number;

  @IsPlainName('the title')
  title!: string;

  @IsString({ message: 'The line is a text.' })
  @MaxLength(LINE_FLOOD, { message: 'This text is far too long for a line.' })
  line!: string;

  @IsTempo()
  bpm!: number;

  @IsWholeWithin('the bar', 1, 12, 'beats')
  beatsPerBar!: number;

  @IsPlainText('the note', 2000)
  notes!: string;

  @IsBoolean({ message: 'Both leads is yes or no.' })
  bothLeads!: boolean;
}

export interface ComboView extends SaveComboDto {
  readonly id: string;
  readonly grade: string;
  readonly updatedAt: string;
}

/** A state in which a combo was saved. */
export interface ComboVersion {
  readonly at: string;
  readonly combo: SaveComboDto;
}

/** One stroke as `POST /api/combos/analyse` tells it. Beats are exact fractions, "3/2". */
export interface StrokeView {
  readonly index: number;
  readonly text: string;
  readonly move: string;
  readonly by: 'fighter' | 'holder';
  readonly limb: string;
  readonly side: 'front' | 'rear' | null;
  readonly level: 'head' | 'body' | 'low' | null;
  readonly beat: string;
  readonly leadBefore: 'left' | 'right';
  readonly leadAfter: 'left' | 'right';
  readonly feint: boolean;
  readonly power: 'touch' | 'normal' | 'full';
  readonly conditional: boolean;
  readonly shout: boolean;
  readonly from: number;
  readonly to: number;
}

export interface LeadChangeView {
  readonly beat: string;
  readonly to: 'left' | 'right';
  readonly how: string;
}

export interface FindingView {
  readonly rule: string;
  readonly severity: 'note' | 'caution' | 'cannot';
  readonly from: number;
  readonly to: number;
  readonly strokes: readonly number[];
  readonly message: string;
}

export type AnalysisView =
  | {
      readonly ok: true;
      readonly beats: string;
      readonly strokes: readonly StrokeView[];
      readonly endLead: 'left' | 'right';
      readonly leadChanges: readonly LeadChangeView[];
      readonly fastestBpm: number | null;
      readonly limit: {
        readonly fromStroke: number;
        readonly toStroke: number;
        readonly seconds: number;
        readonly reason: string;
      } | null;
      readonly findings: readonly FindingView[];
    }
  | { readonly ok: false; readonly errors: readonly LineError[] };
