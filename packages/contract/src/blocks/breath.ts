import type { BreathBlock } from '@eurhythm/core/rounds';
import { IsPlainName, IsWithin } from '../rules/index.ts';
import { BlockDto } from './blockBase.ts';

export class BreathBlockDto extends BlockDto implements BreathBlock {
  declare kind: 'breath';

  @IsPlainName('what it is for')
  title!: string;

  @IsWithin('the breath in', 1, 20, 'seconds')
  inSeconds!: number;

  @IsWithin('the breath kept', 0, 20, 'seconds')
  holdSeconds!: number;

  @IsWithin('the breath out', 1, 20, 'seconds')
  outSeconds!: number;
}
