import { STRIKE_PLACES, type FootworkBlock } from '@eurhythm/core/rounds';
import {
  IsLineText,
  IsOneOf,
  IsTempo,
  IsWholeWithin,
  IsWithin,
  MayBeMissing,
  OrNull,
} from '../rules/index.ts';
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

  @MayBeMissing()
  @IsOneOf('the place of the strike', STRIKE_PLACES)
  strikeAt?: (typeof STRIKE_PLACES)[number];

  @OrNull()
  @IsWithin('the room', 0.5, 50, 'steps')
  room!: number | null;

  @IsTempo()
  bpm!: number;
}
