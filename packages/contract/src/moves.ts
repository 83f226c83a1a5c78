import type { Move, NumberedMove } from '@eurhythm/core/moves';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsOptional,
  Matches,
  MaxLength,
  IsString,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import { IsOneOf, IsPlainName, IsPlainText, IsWholeWithin, IsWithin } from './fields.ts';

export const FAMILIES = [
  'punch',
  'open-hand',
  'elbow',
  'kick',
  'knee',
  'block',
  'evasion',
  'clinch',
  'step',
  'stance',
] as const;
export const LIMB_KINDS = ['hand', 'both-hands', 'leg', 'feet', 'body'] as const;
export const MOVE_SIDES = ['front', 'rear', 'free-front', 'free-rear', 'both', 'none'] as const;
export const LEVELS = ['head', 'body', 'low'] as const;
export const SUPPORTS = ['both-feet', 'one-foot', 'airborne', 'ground'] as const;
export const STANCES = ['fighting', 'square', 'long', 'back', 'horse', 'kneeling'] as const;
export const CAUTION_TAGS = [
  'head-contact',
  'knee-strike',
  'elbow-strike',
  'spin',
  'jump',
  'clinch',
  'toes-back',
  'toes-pointed',
  'pivot-first',
  'weight-on-wrist',
] as const;

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

  @ValidateIf((move: SaveMoveDto) => move.level !== null)
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

  @ValidateIf((move: SaveMoveDto) => move.stance !== null)
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

  @IsOptional()
  @Matches(/^[a-z]{1,24}$/, { message: 'The easier move is named by its code.' })
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

  @IsWholeWithin('the lowest grade', 0, 20, '')
  minGrade!: number;
}

export class NumberedMoveDto {
  @IsWholeWithin('a number', 1, 99, '')
  number!: number;

  @Matches(/^[a-z]{1,24}$/, { message: 'A number stands for the code of a move.' })
  code!: string;

  @ValidateIf((entry: NumberedMoveDto) => entry.side !== null)
  @IsOneOf('the side', ['front', 'rear'])
  side!: 'front' | 'rear' | null;
}

export class SaveNumbersDto {
  @IsArray({ message: 'The numbers are a list.' })
  @ArrayMaxSize(99, { message: 'The map holds at most 99 numbers.' })
  @ValidateNested({ each: true })
  @Type(() => NumberedMoveDto)
  numbers!: NumberedMoveDto[];

  /** Whether lines that use a changed number are written anew so that they mean the same. */
  @IsBoolean({ message: 'Rewriting the lines is yes or no.' })
  rewrite!: boolean;
}

export interface MoveView extends Move {
  readonly retired: boolean;
}

export interface BookView {
  readonly items: readonly MoveView[];
  readonly numbers: readonly NumberedMove[];
}

/** A line that a change of the number map would touch. */
export interface TouchedLine {
  readonly comboId: string;
  readonly name: string;
  readonly line: string;
  readonly rewritten: string;
}

export interface NumbersAnswer extends BookView {
  readonly touched: readonly TouchedLine[];
}

/** The move that a form describes. */
export function moveFromForm(code: string, form: SaveMoveDto): Move {
  const { sayLong, sayShort, side, forward, right, surface, target, easier, ...same } = form;
  return {
    ...same,
    code,
    say: { long: sayLong, short: sayShort },
    side:
      side === 'front' || side === 'rear'
        ? { kind: 'fixed', side }
        : side === 'free-front'
          ? { kind: 'free', usual: 'front' }
          : side === 'free-rear'
            ? { kind: 'free', usual: 'rear' }
            : { kind: side },
    step: { forward, right },
    surface: surface === '' ? null : surface,
    target: target === '' ? null : target,
    easier: easier ?? null,
  };
}

/** The form that describes a move. */
export function formFromMove(move: Move): SaveMoveDto {
  const { code: _, say, side, step, surface, target, parts, faults, cautions, aliases, ...same } = move;
  return {
    ...same,
    sayLong: say.long,
    sayShort: say.short,
    side: side.kind === 'fixed' ? side.side : side.kind === 'free' ? `free-${side.usual}` : side.kind,
    forward: step.forward,
    right: step.right,
    surface: surface ?? '',
    target: target ?? '',
    parts: parts.map((part) => ({ ...part })),
    faults: [...faults],
    cautions: [...cautions],
    aliases: [...aliases],
  };
}
