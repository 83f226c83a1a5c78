import { TEST_SIDES, TRIAL_KINDS, type TestSides, type TrialKind } from '@eurhythm/core/speed';
import { ValidateIf } from 'class-validator';
import {
  IsCount,
  IsLineText,
  IsListed,
  IsOneOf,
  IsPlainName,
  IsText,
  IsWithin,
  MayBeNull,
  OrNull,
} from '../rules/index.ts';

/** Which end is better. */
export const DIRECTIONS = ['higher', 'lower'] as const;

/** What a test may last. */
export const TEST_SECONDS = { min: 3, max: 120 } as const;

/** What is measured, so that trials of the same thing belong together whatever it is called. */
export class SaveTestDto {
  @IsPlainName('what is done')
  title!: string;

  @IsOneOf('what is measured', TRIAL_KINDS)
  kind!: TrialKind;

  /** The line that is done; null for what has none. */
  @OrNull()
  @IsLineText()
  line!: string | null;

  /** Length of a burst. */
  @IsWithin('the time', TEST_SECONDS.min, TEST_SECONDS.max, 'seconds')
  seconds!: number;

  @IsOneOf('the better end', DIRECTIONS)
  direction!: (typeof DIRECTIONS)[number];

  /** In what a result that somebody reads off is written; every such test has one. */
  @ValidateIf(({ kind, unit }: SaveTestDto) => kind === 'measure' || (unit !== null && unit !== undefined))
  @IsPlainName('the unit', 12)
  unit?: string | null;

  /** Whether it has results from either lead, of either side, or one; from either lead where nothing is said. */
  @MayBeNull()
  @IsOneOf('the sides', TEST_SIDES)
  sides?: TestSides | null;

  /** A change below it is of no use, in the unit of the test; the usual one of its kind where nothing is said. */
  @MayBeNull()
  @IsWithin('the smallest change that matters', 0, 100_000, '')
  worthwhile?: number | null;
}

export class TestView extends SaveTestDto {
  @IsText()
  readonly id!: string;

  @IsCount()
  readonly version!: number;
}

export class TestList {
  @IsListed(() => TestView)
  readonly items!: readonly TestView[];
}
