import type { ReactBlock, Reaction, Waits } from '@eurhythm/core/rounds';
import {
  IsLineText,
  IsListOf,
  IsNotBelow,
  IsPlainLine,
  IsThing,
  IsWithin,
  MayBeMissing,
} from '../rules/index.ts';
import { BlockDto, WAIT_TURNED_ROUND } from './blockBase.ts';

/** A call and the line that answers it. */
export class ReactionDto implements Reaction {
  @IsPlainLine('the call', 40)
  call!: string;

  @IsLineText('the answer')
  line!: string;
}

/** A wait that may be as short as a breath. */
export class ReactWaitDto implements Waits {
  @IsWithin('the shortest wait', 0.5, 120, 'seconds')
  min!: number;

  @IsWithin('the longest wait', 0.5, 120, 'seconds')
  @IsNotBelow('min', WAIT_TURNED_ROUND)
  max!: number;
}

export class ReactBlockDto extends BlockDto implements ReactBlock {
  declare kind: 'react';

  @IsPlainLine('the call', 40)
  call!: string;

  @IsLineText('the answer')
  line!: string;

  @MayBeMissing()
  @IsListOf('the other calls', () => ReactionDto, { most: 9, tooMany: 'A block has at most ten calls.' })
  more?: ReactionDto[];

  @IsThing('the wait', () => ReactWaitDto)
  every!: ReactWaitDto;

  @IsWithin('the regular part', 0, 3600, 'seconds')
  regular!: number;
}
