import { STEADY_LEAD_PLANS, type FreeBlock } from '@eurhythm/core/rounds';
import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray, IsString, MaxLength, ValidateNested } from 'class-validator';
import { IsOneOf } from '../rules/index.ts';
import { BlockDto, WaitDto } from './blockBase.ts';

const PROMPT = { each: true, message: 'A prompt is plain text of 1 to 60 characters, without < or >.' };

export class FreeBlockDto extends BlockDto implements FreeBlock {
  declare kind: 'free';

  @IsArray({ message: 'The prompts are a list.' })
  @ArrayMaxSize(30, { message: 'A block holds at most 30 prompts.' })
  @IsString(PROMPT)
  @MaxLength(60, PROMPT)
  prompts!: string[];

  @ValidateNested()
  @Type(() => WaitDto)
  every!: WaitDto;

  @IsOneOf('the lead plan', STEADY_LEAD_PLANS)
  leadPlan!: (typeof STEADY_LEAD_PLANS)[number];
}
