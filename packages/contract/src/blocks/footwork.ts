import { type FootworkBlock } from '@eurhythm/core/rounds';
import { IsLineText, IsTempo, IsWholeWithin, IsWithin, OrNull } from '../rules/index.ts';
import { BlockDto } from './blockBase.ts';

export class FootworkBlockDto extends BlockDto implements FootworkBlock {
  declare kind: 'footwork';

  @IsLineText('the step there')
  there!: string;

  @IsLineText('the step back')
  back!: string;

  @IsWholeWithin('the number of steps', 1, 20, '')
  steps!: number;

  @IsLineText('the strike')
  strike!: string;

  @OrNull()
  @IsWithin('the room', 0.5, 50, 'steps')
  room!: number | null;

  @IsTempo()
  bpm!: number;
}
