import { BLOCK_KINDS, ROUND_LIMITS } from '@eurhythm/core/rounds';
import { ArrayMaxSize, IsArray, IsIn, ValidateIf } from 'class-validator';
import { IsOwnId, IsPlainName, IsPlainText, IsWithin, MayBeMissing } from './fields.ts';

const { blockSeconds } = ROUND_LIMITS;

/** What every block has. */
export class BlockDto {
  @IsIn(BLOCK_KINDS, { message: `A block is one of: ${BLOCK_KINDS.join(', ')}.` })
  kind!: (typeof BLOCK_KINDS)[number];

  @IsOwnId('a block')
  id!: string;

  @IsWithin('the time', blockSeconds.min, blockSeconds.max, 'seconds')
  seconds!: number;

  /** Names of the groups it is for; without any, everybody. */
  @MayBeMissing()
  @IsArray({ message: 'The groups of a block are a list.' })
  @ArrayMaxSize(6, { message: 'There are at most six groups.' })
  @IsPlainName('the name of a group', 24, { each: true })
  who?: string[];

  /** What has to be at hand. */
  @MayBeMissing()
  @IsArray({ message: 'What is needed is a list.' })
  @ArrayMaxSize(12, { message: 'A block needs at most twelve things.' })
  @IsPlainName('a thing that is needed', 40, { each: true })
  kit?: string[];

  @ValidateIf((block: BlockDto) => (block.space ?? null) !== null)
  @IsWithin('the room of a block', 0, 50, 'steps')
  space?: number | null;

  /** What the coach says before it begins. */
  @MayBeMissing()
  @IsPlainText('what is said before', 500)
  tell?: string;
}

export class WaitDto {
  @IsWithin('the shortest wait', 3, 120, 'seconds')
  min!: number;

  @IsWithin('the longest wait', 3, 120, 'seconds')
  max!: number;
}
