import { STEADY_LEAD_PLANS, type FreeBlock } from '@eurhythm/core/rounds';
import { ArrayMaxSize, IsArray } from 'class-validator';
import { IsOneOf, IsPlainName, IsThing } from '../rules/index.ts';
import { BlockDto, WaitDto } from './blockBase.ts';

export class FreeBlockDto extends BlockDto implements FreeBlock {
  declare kind: 'free';

  @IsArray({ message: 'The prompts are a list.' })
  @ArrayMaxSize(30, { message: 'A block holds at most 30 prompts.' })
  @IsPlainName('a prompt', 60, { each: true })
  prompts!: string[];

  @IsThing('the wait', () => WaitDto)
  every!: WaitDto;

  @IsOneOf('the lead plan', STEADY_LEAD_PLANS)
  leadPlan!: (typeof STEADY_LEAD_PLANS)[number];
}
