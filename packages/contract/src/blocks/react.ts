import { type ReactBlock } from '@eurhythm/core/rounds';
import { Type } from 'class-transformer';
import { ValidateNested } from 'class-validator';
import { IsLineText, IsPlainText, IsWithin } from '../rules/index.ts';
import { BlockDto, WaitDto } from './blockBase.ts';

export class ReactBlockDto extends BlockDto implements ReactBlock {
  declare kind: 'react';

  @IsPlainText('the call', 40)
  call!: string;

  @IsLineText('the answer')
  line!: string;

  @ValidateNested()
  @Type(() => WaitDto)
  every!: WaitDto;

  @IsWithin('the regular part', 0, 3600, 'seconds')
  regular!: number;
}
