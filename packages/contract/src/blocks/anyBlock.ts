import type { BlockKindName } from '@eurhythm/core/rounds';
import { Type } from 'class-transformer';
import { BlockDto } from './blockBase.ts';
import { BreathBlockDto } from './breath.ts';
import { BurstBlockDto } from './burst.ts';
import { ComboBlockDto } from './combo.ts';
import { ConditionBlockDto } from './condition.ts';
import { CountBlockDto } from './count.ts';
import { FootworkBlockDto } from './footwork.ts';
import { FreeBlockDto } from './free.ts';
import { HoldBlockDto } from './hold.ts';
import { LineupBlockDto } from './lineup.ts';
import { ReactBlockDto } from './react.ts';
import { RestBlockDto } from './rest.ts';
import { TalkBlockDto } from './talk.ts';

/** The shape of each kind of block. */
export const BLOCK_SHAPES = {
  combo: ComboBlockDto,
  count: CountBlockDto,
  burst: BurstBlockDto,
  hold: HoldBlockDto,
  free: FreeBlockDto,
  react: ReactBlockDto,
  footwork: FootworkBlockDto,
  condition: ConditionBlockDto,
  breath: BreathBlockDto,
  lineup: LineupBlockDto,
  rest: RestBlockDto,
  talk: TalkBlockDto,
} as const satisfies Readonly<Record<BlockKindName, new () => BlockDto>>;

export type AnyBlockDto = InstanceType<(typeof BLOCK_SHAPES)[BlockKindName]>;

/** Reads each block of a list as the class of its kind. */
export function TypedBlocks(): PropertyDecorator {
  return Type(() => BlockDto, {
    keepDiscriminatorProperty: true,
    discriminator: {
      property: 'kind',
      subTypes: Object.entries(BLOCK_SHAPES).map(([name, value]) => ({ name, value })),
    },
  });
}
