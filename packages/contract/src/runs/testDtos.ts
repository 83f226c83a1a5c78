import { TRIAL_KINDS, type TrialKind } from '@eurhythm/core/speed';
import {
  IsCount,
  IsLineText,
  IsListed,
  IsOneOf,
  IsPlainName,
  IsText,
  IsWithin,
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
