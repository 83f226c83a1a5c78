import { CALL_WORDS } from '@eurhythm/core/calls';
import {
  CALL_STYLES,
  COMBO_ORDERS,
  LEAD_PLANS,
  MOST_COUNTED,
  ROUND_LIMITS,
  TEMPO_SHAPES,
  type CallStyle,
  type ComboLane,
  type ComboOrder,
  type ComboRef,
  type WrittenComboBlock,
} from '@eurhythm/core/rounds';
import { Type } from 'class-transformer';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsObject, ValidateIf, ValidateNested } from 'class-validator';
import {
  IsLineText,
  IsListOf,
  IsNotBelow,
  IsOneOf,
  IsOwnId,
  IsPlainLine,
  IsTempo,
  IsWholeWithin,
  IsWithin,
  MayBeMissing,
  OrNull,
} from '../rules/index.ts';
import { BlockDto, IsGroupName, WAIT_TURNED_ROUND } from './blockBase.ts';

const { cyclesEach, combosPerBlock, lanes } = ROUND_LIMITS;

/** Either a combo of the book by its id, or a line of its own. */
export class ComboRefDto implements ComboRef {
  @ValidateIf((ref: ComboRefDto) => ref.line === undefined)
  @IsOwnId('a combo')
  comboId?: string;

  @ValidateIf((ref: ComboRefDto) => ref.comboId === undefined)
  @IsLineText()
  line?: string;

  @MayBeMissing()
  @IsPlainLine('the title', 60)
  title?: string;
}

/** A group that does combos of its own to the same clock. */
export class LaneDto implements ComboLane<ComboRef> {
  @IsGroupName()
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

/** The shape of each kind of tempo. */
export const TEMPO_SHAPE_CLASSES = {
  constant: ConstantShapeDto,
  ramp: RampShapeDto,
  steps: StepsShapeDto,
  'build-up': BuildUpShapeDto,
  broken: BrokenShapeDto,
} as const satisfies Readonly<Record<(typeof TEMPO_SHAPES)[number], new () => TempoShapeDto>>;

export type AnyShapeDto = InstanceType<(typeof TEMPO_SHAPE_CLASSES)[keyof typeof TEMPO_SHAPE_CLASSES]>;

/** Reads a field as the class of its kind. */
function TypedByKind(
  base: new () => object,
  shapes: Readonly<Record<string, new () => object>>,
): PropertyDecorator {
  return Type(() => base, {
    keepDiscriminatorProperty: true,
    discriminator: {
      property: 'kind',
      subTypes: Object.entries(shapes).map(([name, value]) => ({ name, value })),
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
  @IsNotBelow('min', WAIT_TURNED_ROUND)
  max!: number;
}

/** The shape of each kind of gaps. */
export const GAP_CLASSES = { steady: SteadyGapsDto, random: RandomGapsDto } as const;

export type AnyGapsDto = InstanceType<(typeof GAP_CLASSES)[keyof typeof GAP_CLASSES]>;

export class ComboBlockDto extends BlockDto implements WrittenComboBlock {
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
  @OrNull()
  @IsWholeWithin('the number of times from each lead', 1, MOST_COUNTED, '')
  times?: number | null;

  @MayBeMissing()
  @OrNull()
  @IsWholeWithin('the number of times before the way back', 1, cyclesEach.max, '')
  wayBack?: number | null;

  @MayBeMissing()
  @IsObject({ message: 'The tempo has its kind and its fields.' })
  @ValidateNested()
  @TypedByKind(TempoShapeDto, TEMPO_SHAPE_CLASSES)
  tempo?: AnyShapeDto;

  @MayBeMissing()
  @IsObject({ message: 'The gaps have their kind and their fields.' })
  @ValidateNested()
  @TypedByKind(GapsDto, GAP_CLASSES)
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
  @IsListOf('the groups', () => LaneDto, {
    most: lanes,
    tooMany: 'At most six groups have combos of their own at once.',
  })
  lanes?: LaneDto[];
}
