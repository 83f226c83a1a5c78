import {
  IsAmong,
  IsAmount,
  IsCount,
  IsDay,
  IsOneOf,
  IsOwnId,
  IsShaped,
  IsText,
  IsWithin,
  LEADS,
  OrNull,
} from '../rules/index.ts';

/** What a coach and a fighter want of a test by a day. */
export class SaveGoalDto {
  @IsOwnId('the fighter')
  fighterId!: string;

  @IsOwnId('the test')
  testId!: string;

  @IsOneOf('the lead', LEADS)
  lead!: 'left' | 'right';

  /** How many, or seconds. */
  @IsWithin('the goal', 0, 100_000, '')
  value!: number;

  @IsDay()
  by!: string;

  @IsDay()
  setOn!: string;
}

/** The day on which somebody was told that a goal is reached. */
export class GoalReportedDto {
  @IsDay()
  day!: string;
}

export const GOAL_STATES = ['reached', 'on the way', 'not on the way', 'open', 'over'] as const;

/** Where the trend stands on the day of a goal. */
export class ExpectedView {
  @IsAmount()
  readonly value!: number;

  @IsAmount()
  readonly from!: number;

  @IsAmount()
  readonly to!: number;
}

export class GoalView extends SaveGoalDto {
  @IsText()
  readonly id!: string;

  @IsCount()
  readonly version!: number;

  @IsText()
  readonly title!: string;

  @IsAmong(GOAL_STATES)
  readonly state!: (typeof GOAL_STATES)[number];

  @OrNull()
  @IsText()
  readonly reachedOn!: string | null;

  @OrNull()
  @IsShaped(() => ExpectedView)
  readonly expected!: ExpectedView | null;

  @IsText()
  readonly sentence!: string;
}
