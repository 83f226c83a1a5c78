import { SIDE_NAMES, type NumberedMove, type SideNames } from '@eurhythm/core/moves';
import { IsBoolean, Matches } from 'class-validator';
import {
  MayBeMissing,
  IsCount,
  IsListOf,
  IsListed,
  IsOneOf,
  IsText,
  IsWholeWithin,
  MOVE_CODE,
  OrNull,
} from '../rules/index.ts';
import { MoveView } from './moves.ts';

export class NumberedMoveDto implements NumberedMove {
  @IsWholeWithin('a number', 1, 99, '')
  number!: number;

  @Matches(MOVE_CODE, { message: 'A number stands for the code of a move.' })
  code!: string;

  @OrNull()
  @IsOneOf('the side', ['front', 'rear'])
  side!: 'front' | 'rear' | null;
}

export class SaveNumbersDto {
  @IsListOf('the numbers', () => NumberedMoveDto, { most: 99, tooMany: 'The map holds at most 99 numbers.' })
  numbers!: NumberedMoveDto[];

  /** Whether lines that use a changed number are written anew so that they mean the same. */
  @IsBoolean({ message: 'Rewriting the lines is yes or no.' })
  rewrite!: boolean;
}

export class BookView {
  @IsListed(() => MoveView)
  readonly items!: readonly MoveView[];

  @IsListed(() => NumberedMoveDto)
  readonly numbers!: readonly NumberedMoveDto[];

  @IsCount()
  readonly numbersVersion!: number;

  /** How calls name the sides. */
  @MayBeMissing()
  @IsOneOf('the words for sides', SIDE_NAMES)
  readonly sides: SideNames = 'lead-rear';
}

/** A line that a change of the number map would touch. */
export class TouchedLine {
  /** Of a line of the book; null for one of a session, the library, a test or a list. */
  @OrNull()
  @IsText()
  readonly comboId!: string | null;

  @IsText()
  readonly name!: string;

  @IsText()
  readonly line!: string;

  @IsText()
  readonly rewritten!: string;
}

export class TouchedLines {
  @IsListed(() => TouchedLine)
  readonly touched!: readonly TouchedLine[];
}

export class NumbersAnswer extends BookView {
  @IsListed(() => TouchedLine)
  readonly touched!: readonly TouchedLine[];
}
