import { Type } from 'class-transformer';
import { ArrayMaxSize, ArrayUnique, IsArray, IsBoolean, IsIn, ValidateNested } from 'class-validator';
import {
  IsCount,
  IsOwnId,
  IsPlainName,
  IsText,
  IsTexts,
  IsWholeWithin,
  MayBeMissing,
  OrNull,
} from '../rules/index.ts';

/** Most people that a class is planned for. */
const MOST_PEOPLE = 100;
const MOST_ROTATIONS = 30;

/** Somebody who is there: from which rotation on, until which, and what was ticked at the door. */
export class PresentDto {
  @IsOwnId('a fighter')
  fighterId!: string;

  @IsWholeWithin('the rotation of the arrival', 0, MOST_ROTATIONS, '')
  from!: number;

  @OrNull()
  @IsWholeWithin('the rotation of the leaving', 0, MOST_ROTATIONS, '')
  until!: number | null;

  @IsArray({ message: 'What was ticked is a list.' })
  @ArrayMaxSize(12, { message: 'The checklist holds at most twelve items.' })
  @IsPlainName('an item of the checklist', 40, { each: true })
  ticked!: string[];
}

/** Who came to a class, and how they are put together. */
export class SaveSheetDto {
  @IsArray({ message: 'Who is there is a list.' })
  @ArrayMaxSize(MOST_PEOPLE, { message: `A class is planned for at most ${MOST_PEOPLE} people.` })
  @ArrayUnique((present: PresentDto) => present?.fighterId, {
    message: 'Somebody stands twice in this list.',
  })
  @ValidateNested({ each: true })
  @Type(() => PresentDto)
  present!: PresentDto[];

  @IsIn([1, 2, 3], { message: 'People work alone, by two or by three.' })
  size!: 1 | 2 | 3;

  @IsWholeWithin('the number of rotations', 1, MOST_ROTATIONS, '')
  rotations!: number;

  /** Whether the voice says who works with whom. */
  @MayBeMissing()
  @IsBoolean({ message: 'Names are called or not.' })
  callsNames?: boolean;
}

export class SheetView extends SaveSheetDto {
  @IsText()
  readonly sessionId!: string;

  @IsCount()
  readonly version!: number;

  /** Who is in the class that was begun with this session today; null where none was. */
  @OrNull()
  @IsTexts()
  readonly onFloor!: readonly string[] | null;
}
