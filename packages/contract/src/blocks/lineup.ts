import type { LineupBlock } from '@eurhythm/core/rounds';
import { ArrayMaxSize, IsArray } from 'class-validator';
import { IsPlainName } from '../rules/index.ts';
import { BlockDto } from './blockBase.ts';

export class LineupBlockDto extends BlockDto implements LineupBlock {
  declare kind: 'lineup';

  @IsArray({ message: 'What is said is a list.' })
  @ArrayMaxSize(12, { message: 'A line-up has at most 12 things that are said.' })
  @IsPlainName('what is said', 60, { each: true })
  calls!: string[];
}
