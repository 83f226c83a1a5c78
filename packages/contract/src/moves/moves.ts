import { MOVE_ROLES, type Move, type MoveRole } from '@eurhythm/core/moves';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsIn,
  IsString,
  Matches,
  MaxLength,
  ValidateNested,
} from 'class-validator';
import {
  IsAmong,
  IsAmount,
  IsCount,
  IsListOf,
  IsListed,
  IsOneOf,
  IsOwnId,
  IsPlainName,
  IsPlainText,
  IsShaped,
  IsText,
  IsTexts,
  IsWholeWithin,
  IsWithin,
  IsYesNo,
  MOVE_CODE,
  MayBeMissing,
  MayBeNull,
  OrNull,
} from '../rules/index.ts';
import { FAMILIES, LIMB_KINDS, MOVE_SIDES, LEVELS, SUPPORTS, STANCES, CAUTION_TAGS } from './choices.ts';
import { MoveRiskDto } from './risks.ts';

export class MovePartDto {
  @IsPlainName('the name of a part', 40)
  name!: string;

  @IsPlainName('the cue of a part', 120)
  cue!: string;
}

/** A move of the book as a form writes it. */
export class SaveMoveDto {
  @IsPlainName('the name')
  name!: string;

  @IsPlainName('the long spoken form')
  sayLong!: string;

  @IsPlainName('the short spoken form', 30)
  sayShort!: string;

  @IsOneOf('the family', FAMILIES)
  family!: (typeof FAMILIES)[number];

  @IsOneOf('the limb', LIMB_KINDS)
  limb!: (typeof LIMB_KINDS)[number];

  @IsOneOf('the side', MOVE_SIDES)
  side!: (typeof MOVE_SIDES)[number];

  @OrNull()
  @IsOneOf('the level', LEVELS)
  level!: (typeof LEVELS)[number] | null;

  @IsPlainText('what lands', 80)
  surface!: string;

  @IsPlainText('what is held', 120)
  target!: string;

  @IsWithin('the time out', 0.05, 3, 'seconds')
  out!: number;

  @IsWithin('the time back', 0, 3, 'seconds')
  back!: number;

  @IsIn([-1, 0, 1], { message: 'The turn of the hips is -1, 0 or 1.' })
  turn!: -1 | 0 | 1;

  @IsWholeWithin('the spin', 0, 720, 'degrees')
  spin!: number;

  @IsOneOf('the support', SUPPORTS)
  support!: (typeof SUPPORTS)[number];

  @IsOneOf('the lead afterwards', ['keeps', 'flips'])
  lead!: 'keeps' | 'flips';

  @IsWholeWithin('the turn on the spot', -360, 360, 'degrees')
  facing!: number;

  @IsWithin('steps forward', -5, 5, '')
  forward!: number;

  @IsWithin('steps to the right', -5, 5, '')
  right!: number;

  @OrNull()
  @IsOneOf('the stance', STANCES)
  stance!: (typeof STANCES)[number] | null;

  @IsArray({ message: 'The counted parts are a list.' })
  @ArrayMinSize(1, { message: 'A move has at least one counted part.' })
  @ArrayMaxSize(8, { message: 'A move has at most eight counted parts.' })
  @ValidateNested({ each: true })
  @Type(() => MovePartDto)
  parts!: MovePartDto[];

  @IsArray({ message: 'The faults are a list.' })
  @IsString({ each: true, message: 'A fault is a text.' })
  @MaxLength(120, { each: true, message: 'A fault has at most 120 characters.' })
  @Matches(/^[^<>]*$/, { each: true, message: 'A fault is plain text, without < or >.' })
  faults!: string[];

  @MayBeNull()
  @Matches(MOVE_CODE, { message: 'The easier move is named by its code.' })
  easier!: string | null;

  @IsArray({ message: 'The cautions are a list.' })
  @IsIn(CAUTION_TAGS, { each: true, message: 'One of the cautions is not known.' })
  cautions!: (typeof CAUTION_TAGS)[number][];

  @IsArray({ message: 'The aliases are a list.' })
  @ArrayMaxSize(20, { message: 'A move has at most 20 aliases.' })
  @IsString({ each: true, message: 'An alias is a text.' })
  @MaxLength(40, { each: true, message: 'An alias has at most 40 characters.' })
  @Matches(/^[^<>]*$/, { each: true, message: 'An alias is plain text, without < or >.' })
  aliases!: string[];

  /** Id of the lowest grade that trains it; null when everybody does. */
  @OrNull()
  @IsOwnId('the lowest grade')
  minGrade!: string | null;

  /** What it is for, where that does not follow from its family; rules ask for it. */
  @MayBeNull()
  @IsOneOf('the role', MOVE_ROLES)
  role: MoveRole | null = null;

  /** What it lays open, in sentences that are reported wherever it is used. */
  @MayBeMissing()
  @IsListOf('the risks', () => MoveRiskDto, { most: 6, tooMany: 'A move has at most six risks.' })
  risks?: MoveRiskDto[];
}

class SayView {
  @IsText()
  readonly long!: string;

  @IsText()
  readonly short!: string;
}

class MoveSideView {
  @IsAmong(['fixed', 'free', 'directed', 'both', 'none'])
  readonly kind!: Move['side']['kind'];

  /** Of a fixed side. */
  @MayBeMissing()
  @IsAmong(['front', 'rear'])
  readonly side?: 'front' | 'rear';

  /** Of a free or a directed one: the side or shoulder that is meant when the line does not say. */
  @MayBeMissing()
  @IsAmong(['front', 'rear'])
  readonly usual?: 'front' | 'rear';
}

class MoveStepView {
  @IsAmount()
  readonly forward!: number;

  @IsAmount()
  readonly right!: number;
}

/** A move of the book. */
export class MoveView implements Move {
  @IsText()
  readonly code!: string;

  @IsText()
  readonly name!: string;

  @IsShaped(() => SayView)
  readonly say!: SayView;

  @IsAmong(FAMILIES)
  readonly family!: Move['family'];

  @IsAmong(LIMB_KINDS)
  readonly limb!: Move['limb'];

  @IsShaped(() => MoveSideView)
  readonly side!: Move['side'];

  @OrNull()
  @IsAmong(LEVELS)
  readonly level!: Move['level'];

  @OrNull()
  @IsText()
  readonly surface!: string | null;

  @OrNull()
  @IsText()
  readonly target!: string | null;

  @IsAmount()
  readonly out!: number;

  @IsAmount()
  readonly back!: number;

  @IsCount()
  readonly turn!: Move['turn'];

  @IsAmount()
  readonly spin!: number;

  @IsAmong(SUPPORTS)
  readonly support!: Move['support'];

  @IsAmong(['keeps', 'flips'])
  readonly lead!: Move['lead'];

  @IsAmount()
  readonly facing!: number;

  @IsShaped(() => MoveStepView)
  readonly step!: MoveStepView;

  @OrNull()
  @IsAmong(STANCES)
  readonly stance!: Move['stance'];

  @IsListed(() => MovePartDto)
  readonly parts!: readonly MovePartDto[];

  @IsTexts()
  readonly faults!: readonly string[];

  @OrNull()
  @IsText()
  readonly easier!: string | null;

  @IsTexts()
  readonly cautions!: Move['cautions'];

  @IsTexts()
  readonly aliases!: readonly string[];

  @OrNull()
  @IsText()
  readonly minGrade!: string | null;

  @OrNull()
  @IsAmong(MOVE_ROLES)
  readonly role!: MoveRole | null;

  @MayBeMissing()
  @IsListed(() => MoveRiskDto)
  readonly risks?: readonly MoveRiskDto[];

  @IsYesNo()
  readonly retired!: boolean;

  @IsCount()
  readonly version!: number;
}

/** What became of a move that was taken out. */
export class RemovedMove {
  /** It is still used, so it stays readable and is not offered any more. */
  @IsYesNo()
  readonly retired!: boolean;

  @IsTexts()
  readonly usedBy!: readonly string[];
}
