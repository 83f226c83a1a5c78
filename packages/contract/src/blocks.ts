import { CALL_WORDS } from '@eurhythm/core/calls';
import {
  CALL_STYLES,
  COMBO_ORDERS,
  LEAD_PLANS,
  ROUND_LIMITS,
  STEADY_LEAD_PLANS,
  TEMPO_SHAPES,
  type CallStyle,
  type ComboOrder,
} from '@eurhythm/core/rounds';

import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsString,
  MaxLength,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import { BlockDto, WaitDto } from './blockBase.ts';
import {
  ConditionBlockDto,
  CountBlockDto,
  FootworkBlockDto,
  HoldBlockDto,
  ReactBlockDto,
  TalkBlockDto,
} from './countedBlocks.ts';
import {
  IsOneOf,
  IsOwnId,
  IsPlainName,
  IsPlainText,
  IsTempo,
  IsWholeWithin,
  IsWithin,
  MayBeMissing,
} from './fields.ts';

const { cyclesEach, combosPerBlock } = ROUND_LIMITS;

/** Either a combo of the book by its id, or a line of its own. */
export class ComboRefDto {
  @ValidateIf((ref: ComboRefDto) => ref.line === undefined)
  @IsOwnId('a combo')
  comboId?: string;

  @ValidateIf((ref: ComboRefDto) => ref.comboId === undefined)
  @IsString({ message: 'The line is a text.' })
  @MaxLength(20_000, { message: 'This text is far too long for a line.' })
  line?: string;

  @MayBeMissing()
  @IsPlainText('the title', 60)
  title?: string;
}

/** A group that does combos of its own to the same clock. */
export class LaneDto {
  @IsPlainName('the name of a group', 24)
  group!: string;

  @IsArray({ message: 'The combos are a list.' })
  @ArrayMinSize(1, { message: 'Choose at least one combo for the group, or take the group out.' })
  @ArrayMaxSize(combosPerBlock, { message: `A block holds at most ${combosPerBlock} combos.` })
  @ValidateNested({ each: true })
  @Type(() => ComboRefDto)
  combos!: ComboRefDto[];
}

export class TempoShapeDto {
  @IsOneOf('the shape of the tempo', TEMPO_SHAPES)
  kind!: (typeof TEMPO_SHAPES)[number];
}

export class ConstantShapeDto extends TempoShapeDto {
  declare kind: 'constant';
}

export class RampShapeDto extends TempoShapeDto {
  declare kind: 'ramp';

  @IsTempo()
  to!: number;
}

export class StepsShapeDto extends TempoShapeDto {
  declare kind: 'steps';

  @IsWithin('the step of the tempo', -100, 100, 'beats a minute')
  by!: number;

  @IsWholeWithin('the times through before a step', 1, 50, '')
  every!: number;
}

export class BuildUpShapeDto extends TempoShapeDto {
  declare kind: 'build-up';

  @IsTempo()
  fast!: number;
}

export class BrokenShapeDto extends TempoShapeDto {
  declare kind: 'broken';

  @IsWithin('the pause', 0, 16, 'beats')
  pause!: number;
}

export type AnyShapeDto = ConstantShapeDto | RampShapeDto | StepsShapeDto | BuildUpShapeDto | BrokenShapeDto;

/** Reads the shape of a tempo as the class of its kind. */
function TypedShape(): PropertyDecorator {
  return Type(() => TempoShapeDto, {
    keepDiscriminatorProperty: true,
    discriminator: {
      property: 'kind',
      subTypes: [
        { name: 'constant', value: ConstantShapeDto },
        { name: 'ramp', value: RampShapeDto },
        { name: 'steps', value: StepsShapeDto },
        { name: 'build-up', value: BuildUpShapeDto },
        { name: 'broken', value: BrokenShapeDto },
      ],
    },
  });
}

export class GapsDto {
  @IsOneOf('the gaps', ['steady', 'random'])
  kind!: 'steady' | 'random';
}

export class SteadyGapsDto extends GapsDto {
  declare kind: 'steady';
}

export class RandomGapsDto extends GapsDto {
  declare kind: 'random';

  @IsWithin('the shortest wait', 0, 60, 'seconds')
  min!: number;

  @IsWithin('the longest wait', 0, 60, 'seconds')
  max!: number;
}

export type AnyGapsDto = SteadyGapsDto | RandomGapsDto;

function TypedGaps(): PropertyDecorator {
  return Type(() => GapsDto, {
    keepDiscriminatorProperty: true,
    discriminator: {
      property: 'kind',
      subTypes: [
        { name: 'steady', value: SteadyGapsDto },
        { name: 'random', value: RandomGapsDto },
      ],
    },
  });
}

export class ComboBlockDto extends BlockDto {
  declare kind: 'combo';

  @IsArray({ message: 'The combos are a list.' })
  @ArrayMinSize(1, { message: 'Choose at least one combo.' })
  @ArrayMaxSize(combosPerBlock, { message: `A block holds at most ${combosPerBlock} combos.` })
  @ValidateNested({ each: true })
  @Type(() => ComboRefDto)
  combos!: ComboRefDto[];

  @IsTempo()
  bpm!: number;

  @IsOneOf('the call style', CALL_STYLES)
  calls!: CallStyle;

  @IsOneOf('what is called', CALL_WORDS)
  words!: (typeof CALL_WORDS)[number];

  @IsOneOf('the lead plan', LEAD_PLANS)
  leadPlan!: (typeof LEAD_PLANS)[number];

  @IsWholeWithin('cycles of each combo', cyclesEach.min, cyclesEach.max, '')
  cyclesEach!: number;

  @MayBeMissing()
  @ValidateNested()
  @TypedShape()
  tempo?: AnyShapeDto;

  @MayBeMissing()
  @ValidateNested()
  @TypedGaps()
  gaps?: AnyGapsDto;

  @MayBeMissing()
  @IsOneOf('the order', COMBO_ORDERS)
  order?: ComboOrder;

  @MayBeMissing()
  @IsArray({ message: 'The contact plan is a list.' })
  @ArrayMaxSize(8, { message: 'A contact plan has at most eight steps.' })
  @IsWholeWithin('a step of contact', 0, 100, 'percent', { each: true })
  intensity?: number[];

  @MayBeMissing()
  @IsArray({ message: 'The groups are a list.' })
  @ArrayMaxSize(6, { message: 'There are at most six groups.' })
  @ValidateNested({ each: true })
  @Type(() => LaneDto)
  lanes?: LaneDto[];
}

export class FreeBlockDto extends BlockDto {
  declare kind: 'free';

  @IsArray({ message: 'The prompts are a list.' })
  @ArrayMaxSize(30, { message: 'A block holds at most 30 prompts.' })
  @IsPlainNameEach()
  prompts!: string[];

  @ValidateNested()
  @Type(() => WaitDto)
  every!: WaitDto;

  @IsOneOf('the lead plan', STEADY_LEAD_PLANS)
  leadPlan!: (typeof STEADY_LEAD_PLANS)[number];
}

function IsPlainNameEach(): PropertyDecorator {
  const message = 'A prompt is plain text of 1 to 60 characters, without < or >.';
  return (target, key) => {
    IsString({ each: true, message })(target, key as string);
    MaxLength(60, { each: true, message })(target, key as string);
  };
}

export class BurstBlockDto extends BlockDto {
  declare kind: 'burst';

  @IsPlainName('what is done')
  title!: string;
}

export class RestBlockDto extends BlockDto {
  declare kind: 'rest';

  @MayBeMissing()
  @IsPlainText('what comes next', 80)
  next?: string;
}

export type AnyBlockDto =
  | ComboBlockDto
  | CountBlockDto
  | BurstBlockDto
  | HoldBlockDto
  | FreeBlockDto
  | ReactBlockDto
  | FootworkBlockDto
  | ConditionBlockDto
  | RestBlockDto
  | TalkBlockDto;

/** Reads each block of a list as the class of its kind. */
export function TypedBlocks(): PropertyDecorator {
  return Type(() => BlockDto, {
    keepDiscriminatorProperty: true,
    discriminator: {
      property: 'kind',
      subTypes: [
        { name: 'combo', value: ComboBlockDto },
        { name: 'count', value: CountBlockDto },
        { name: 'burst', value: BurstBlockDto },
        { name: 'hold', value: HoldBlockDto },
        { name: 'free', value: FreeBlockDto },
        { name: 'react', value: ReactBlockDto },
        { name: 'footwork', value: FootworkBlockDto },
        { name: 'condition', value: ConditionBlockDto },
        { name: 'rest', value: RestBlockDto },
        { name: 'talk', value: TalkBlockDto },
      ],
    },
  });
}
