import { Type } from 'class-transformer';
import { IsObject, ValidateNested } from 'class-validator';
import { IsInstant, IsOwnId } from '../../rules/index.ts';
import { SaveThemeDto } from '../../sessions/calendar.ts';
import { SaveSeasonDto } from '../../sessions/seasons.ts';
import { SaveLibraryItemDto } from '../../sessions/library.ts';
import { SaveSessionDto } from '../../sessions/sessions.ts';
import { SaveSheetDto } from '../../sessions/sheets.ts';

export class FileSession extends SaveSessionDto {
  @IsOwnId('a session')
  id!: string;

  @IsInstant('the time of the change')
  updatedAt!: string;
}

export class FileSheet {
  @IsOwnId('a session')
  sessionId!: string;

  @IsObject({ message: 'A sheet has its fields, as the contract lists them.' })
  @ValidateNested()
  @Type(() => SaveSheetDto)
  sheet!: SaveSheetDto;
}

export class FileTheme extends SaveThemeDto {
  @IsOwnId('a theme')
  id!: string;
}

export class FileSeason extends SaveSeasonDto {
  @IsOwnId('a season')
  id!: string;
}

export class FileLibraryItem extends SaveLibraryItemDto {
  @IsOwnId('a piece of the library')
  id!: string;

  @IsInstant('the time of the change')
  updatedAt!: string;
}
