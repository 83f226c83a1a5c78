import type { RestBlock } from '@eurhythm/core/rounds';
import { IsPlainLine, MayBeMissing } from '../rules/index.ts';
import { BlockDto } from './blockBase.ts';

export class RestBlockDto extends BlockDto implements RestBlock {
  declare kind: 'rest';

  @MayBeMissing()
  @IsPlainLine('what comes next', 80)
  next?: string;
}
