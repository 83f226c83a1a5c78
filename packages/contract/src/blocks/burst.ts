import type { BurstBlock } from '@eurhythm/core/rounds';
import { IsPlainName } from '../rules/index.ts';
import { BlockDto, GroupTaskDto, IsGroupRows } from './blockBase.ts';

export class BurstBlockDto extends BlockDto implements BurstBlock {
  declare kind: 'burst';

  @IsPlainName('what is done')
  title!: string;

  @IsGroupRows(GroupTaskDto)
  groups?: GroupTaskDto[];
}
