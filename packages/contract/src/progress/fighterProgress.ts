import { IsListed, IsShaped, OrNull } from '../rules/index.ts';
import { GoalView } from './goals.ts';
import { GradeCheckView, GradingView } from './gradeChecks.ts';
import { MemoryView } from './memory.ts';
import { CourseView, EvennessView, FadingView } from './courseViews.ts';
import { PaceView, TempoView } from './paceViews.ts';

/** What one fighter's log says. */
export class FighterProgress {
  @IsListed(() => CourseView)
  readonly courses!: readonly CourseView[];

  @IsListed(() => EvennessView)
  readonly leads!: readonly EvennessView[];

  @IsListed(() => FadingView)
  readonly fading!: readonly FadingView[];

  @OrNull()
  @IsShaped(() => PaceView)
  readonly pace!: PaceView | null;

  @IsListed(() => TempoView)
  readonly tempos!: readonly TempoView[];

  @IsListed(() => MemoryView)
  readonly memory!: readonly MemoryView[];

  @IsListed(() => GoalView)
  readonly goals!: readonly GoalView[];

  /** The check list for the next grade; null for the highest, and where the grade asks for nothing. */
  @OrNull()
  @IsShaped(() => GradeCheckView)
  readonly check!: GradeCheckView | null;

  /** Grades that were signed, newest first. */
  @IsListed(() => GradingView)
  readonly gradings!: readonly GradingView[];
}
