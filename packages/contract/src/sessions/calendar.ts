import { ArrayMaxSize, ArrayMinSize, ArrayUnique, IsArray } from 'class-validator';
import { IsCount, IsDay, IsInstant, IsNotBelow, IsOwnId, IsPlainName, IsText } from '../rules/index.ts';

/** What the classes of a week or a month are about; both days belong to it. */
export class SaveThemeDto {
  @IsPlainName('the theme')
  title!: string;

  @IsDay()
  from!: string;

  @IsDay()
  @IsNotBelow('from', 'The last day comes before the first one.')
  until!: string;
}

export class ThemeView extends SaveThemeDto {
  @IsText()
  readonly id!: string;

  @IsCount()
  readonly version!: number;
}

/** Copies of a session at other instants; the ids come from who asks, so that the same request makes nothing twice. */
export class RepeatSessionDto {
  @IsArray({ message: 'The ids are a list.' })
  @ArrayMinSize(1, { message: 'Repeat it at least once.' })
  @ArrayMaxSize(52, { message: 'A session is repeated for at most a year: 52 times.' })
  @ArrayUnique({ message: 'An id stands twice in this list.' })
  @IsOwnId('a session', { each: true })
  ids!: string[];

  @IsArray({ message: 'The dates are a list.' })
  @ArrayMinSize(1, { message: 'Repeat it at least once.' })
  @ArrayMaxSize(52, { message: 'A session is repeated for at most a year: 52 times.' })
  @ArrayUnique({ message: 'A date stands twice in this list.' })
  @IsInstant('a date', { each: true })
  dates!: string[];
}
