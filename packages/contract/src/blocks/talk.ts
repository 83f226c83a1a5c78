import { type TalkBlock } from '@eurhythm/core/rounds';
import { IsPlainName, IsPlainText } from '../rules/index.ts';
import { BlockDto } from './blockBase.ts';

export class TalkBlockDto extends BlockDto implements TalkBlock {
  declare kind: 'talk';

  @IsPlainName('what it is about')
  title!: string;

  @IsPlainText('the note', 2000)
  notes!: string;
}
