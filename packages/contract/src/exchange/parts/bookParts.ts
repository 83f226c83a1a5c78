import { Type } from 'class-transformer';
import { IsBoolean, IsObject, Matches, ValidateNested } from 'class-validator';
import { SaveComboDto } from '../../combos/combos.ts';
import { SaveMoveDto } from '../../moves/moves.ts';
import { IsInstant, IsOwnId, MOVE_CODE } from '../../rules/index.ts';

export class FileMove extends SaveMoveDto {
  @Matches(MOVE_CODE, { message: 'A code is 1 to 24 small letters, such as jab.' })
  code!: string;

  @IsBoolean({ message: 'Retired is yes or no.' })
  retired!: boolean;
}

export class FileCombo extends SaveComboDto {
  @IsOwnId('a combo')
  id!: string;

  @IsInstant('the time of the change')
  updatedAt!: string;

  @IsBoolean({ message: 'Retired is yes or no.' })
  retired!: boolean;
}

/** A state in which a combo was saved. */
export class FileComboVersion {
  @IsOwnId('a combo')
  comboId!: string;

  @IsInstant('the time of the change')
  at!: string;

  @IsObject({ message: 'A state of a combo has its fields, as the contract lists them.' })
  @ValidateNested()
  @Type(() => SaveComboDto)
  combo!: SaveComboDto;
}
