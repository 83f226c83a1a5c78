import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  IsArray,
  Matches,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import { SIDES, type Sides } from '@eurhythm/core/rounds';
import {
  IsListOf,
  IsOneOf,
  IsOwnId,
  IsPlainName,
  IsWholeWithin,
  IsWithin,
  MayBeNull,
} from '../rules/index.ts';

export class GradeDto {
  @IsOwnId('a grade')
  id!: string;

  @IsPlainName('the name of a grade', 24)
  name!: string;

  @IsOneOf('the band', ['children', 'adults'])
  band!: 'children' | 'adults';
}

/** All grades of the gym, lowest first. */
export class SaveGradesDto {
  @IsArray({ message: 'The grades are a list.' })
  @ArrayMinSize(1, { message: 'A gym has at least one grade.' })
  @ArrayMaxSize(40, { message: 'A gym has at most 40 grades.' })
  @ArrayUnique((grade: GradeDto) => grade?.id, { message: 'A grade stands twice in this list.' })
  @ArrayUnique((grade: GradeDto) => grade?.name?.trim?.().toLowerCase(), {
    message: 'Two grades have the same name.',
  })
  @ValidateNested({ each: true })
  @Type(() => GradeDto)
  grades!: GradeDto[];
}

/** A move or a combo that a grade trains, and how often: "15 each leg, 3 times". */
export class TechniqueDto {
  @IsOwnId('an entry')
  id!: string;

  /** A move as a line writes it, `r:round` or `8`; a combo is named by `comboId` instead. */
  @ValidateIf((technique: TechniqueDto) => (technique.comboId ?? null) === null)
  @Matches(/^(?:[fr]:)?[a-z0-9]{1,24}$/, { message: 'A move is named by its code or number.' })
  move!: string | null;

  @MayBeNull()
  @IsOwnId('a combo')
  comboId!: string | null;

  @IsWholeWithin('the count', 1, 500, 'repetitions')
  reps!: number;

  @IsOneOf('the side plan', SIDES)
  sides!: Sides;

  @IsWholeWithin('the number of sets', 1, 20, '')
  sets!: number;

  @IsWithin('the rest between sets', 0, 600, 'seconds')
  restSeconds!: number;
}

export class SaveTechniquesDto {
  @IsListOf('the techniques', () => TechniqueDto, {
    most: 100,
    tooMany: 'A grade trains at most 100 techniques.',
  })
  techniques!: TechniqueDto[];
}

/** What each grade trains, by the id of the grade. */
export type TechniqueLists = Readonly<Record<string, readonly TechniqueDto[]>>;
