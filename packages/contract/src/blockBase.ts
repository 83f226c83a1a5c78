import { BLOCK_KINDS, ROUND_LIMITS } from '@eurhythm/core/rounds';
import { IsIn } from 'class-validator';
import { IsOwnId, IsWithin } from './fields.ts';

const { blockSeconds } = ROUND_LIMITS;

/** What every block has. */
export class BlockDto {
  @IsIn(BLOCK_KINDS, { message: `A block is one of: ${BLOCK_KINDS.join(', ')}.` })
  kind!: (typeof BLOCK_KINDS)[number];

  @IsOwnId('a block')
  id!: string;

  @IsWithin('the time', blockSeconds.min, blockSeconds.max, 'seconds')
  seconds!: number;
}

export class WaitDto {
  @IsWithin('the shortest wait', 3, 120, 'seconds')
  min!: number;

  @IsWithin('the longest wait', 3, 120, 'seconds')
  max!: number;
}
