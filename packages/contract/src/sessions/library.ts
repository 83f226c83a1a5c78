import { Type } from 'class-transformer';
import { ArrayMaxSize, ArrayMinSize, IsArray, ValidateNested } from 'class-validator';
import { IsCount, IsPlainName, IsText, IsYesNo } from '../rules/index.ts';
import { RoundDto } from './sessions.ts';

/** Rounds that are kept to be used again; a block alone is kept as a round of one block. */
export class SaveLibraryItemDto {
  @IsPlainName('the name')
  title!: string;

  @IsArray({ message: 'The rounds are a list.' })
  @ArrayMinSize(1, { message: 'Keep at least one round.' })
  @ArrayMaxSize(100, { message: 'At most 100 rounds are kept under one name.' })
  @ValidateNested({ each: true })
  @Type(() => RoundDto)
  rounds!: RoundDto[];
}

export class LibraryItem extends SaveLibraryItemDto {
  @IsText()
  readonly id!: string;

  /** Whether the gym kept it itself; the others ship with the product and cannot be taken out. */
  @IsYesNo()
  readonly own!: boolean;

  /** What it is for, in one line. */
  @IsText()
  readonly about!: string;

  @IsCount()
  readonly version!: number;
}

/** When a combo was last in a session that was held, by the id of the combo. */
export type LastTrained = Readonly<Record<string, string>>;
