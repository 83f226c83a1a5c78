import {
  BLOCK_KINDS,
  MUTED_RULES,
  ROUND_LIMITS,
  type BlockBase,
  type BlockKindName,
  type GroupReps,
  type GroupTask,
  type MutedRule,
  type Waits,
} from '@eurhythm/core/rounds';
import { MOST_COUNTED } from '@eurhythm/core/rounds';
import { ArrayMaxSize, IsArray, IsIn, ValidateIf } from 'class-validator';
import {
  IsLineText,
  IsListOf,
  IsNotBelow,
  IsOwnId,
  IsPlainName,
  IsPlainText,
  IsWholeWithin,
  IsWithin,
  MayBeMissing,
  MayBeNull,
} from '../rules/index.ts';

const { blockSeconds, groups } = ROUND_LIMITS;

/** The name of a group, wherever one stands. */
export function IsGroupName(ways: { each?: boolean } = {}): PropertyDecorator {
  return IsPlainName('the name of a group', 24, ways);
}

export const TOO_MANY_GROUPS = 'There are at most twelve groups.';

/** What every block has. */
export class BlockDto implements BlockBase {
  @IsIn(BLOCK_KINDS, { message: `A block is one of: ${BLOCK_KINDS.join(', ')}.` })
  kind!: BlockKindName;

  @IsOwnId('a block')
  id!: string;

  @IsWithin('the time', blockSeconds.min, blockSeconds.max, 'seconds')
  seconds!: number;

  /** Names of the groups it is for; without any, everybody. */
  @MayBeMissing()
  @IsArray({ message: 'The groups of a block are a list.' })
  @ArrayMaxSize(groups, { message: TOO_MANY_GROUPS })
  @IsGroupName({ each: true })
  who?: string[];

  /** What has to be at hand. */
  @MayBeMissing()
  @IsArray({ message: 'What is needed is a list.' })
  @ArrayMaxSize(12, { message: 'A block needs at most twelve things.' })
  @IsPlainName('a thing that is needed', 40, { each: true })
  kit?: string[];

  @MayBeNull()
  @IsWithin('the room of a block', 0, 50, 'steps')
  space?: number | null;

  /** Rules of the planner that are not to be reported of it. */
  @MayBeMissing()
  @IsArray({ message: 'What is not reported is a list.' })
  @IsIn(MUTED_RULES, { each: true, message: `What is not reported is one of: ${MUTED_RULES.join(', ')}.` })
  @ArrayMaxSize(MUTED_RULES.length, { message: 'There are no more rules to mute.' })
  muted?: MutedRule[];

  /** What the coach says before it begins. */
  @MayBeMissing()
  @IsPlainText('what is said before', 500)
  tell?: string;
}

export const WAIT_TURNED_ROUND = 'The longest wait is shorter than the shortest one.';

export class WaitDto implements Waits {
  @IsWithin('the shortest wait', 3, 120, 'seconds')
  min!: number;

  @IsWithin('the longest wait', 3, 120, 'seconds')
  @IsNotBelow('min', WAIT_TURNED_ROUND)
  max!: number;
}

export class GroupRepsDto implements GroupReps {
  @IsGroupName()
  group!: string;

  @IsWholeWithin('the count of a group', 1, MOST_COUNTED, 'repetitions')
  reps!: number;
}

/** The same where a group may do something else on the same count. */
export class OwnGroupRepsDto extends GroupRepsDto {
  @MayBeMissing()
  @IsLineText('the line of a group')
  line?: string;
}

/** The same where a group may do another exercise, or a line. */
export class TitledGroupRepsDto extends OwnGroupRepsDto {
  @MayBeMissing()
  @IsPlainName('what a group does')
  title?: string;
}

/** A group that does something of its own, as often as it can: something with a name, or a line. */
export class GroupTaskDto implements GroupTask {
  @IsGroupName()
  group!: string;

  @ValidateIf((task: GroupTaskDto) => task.line === undefined)
  @IsPlainName('what a group does')
  title?: string;

  @MayBeMissing()
  @IsLineText('the line of a group')
  line?: string;
}

/** The groups of a class at once, each with what it does of its own. */
export function IsGroupRows(shape: new () => object): PropertyDecorator {
  return (target, key) => {
    MayBeMissing()(target, key);
    IsListOf('the groups', () => shape, { most: groups, tooMany: TOO_MANY_GROUPS })(target, key);
  };
}
