import { IsCount, IsText, OrNull } from '../rules/index.ts';

/** What somebody's classes add up to, the same on every page and on paper. */
export class TallyView {
  /** Classes of which at least a part of one round was done. */
  @IsCount()
  readonly classes!: number;

  @IsCount()
  readonly finished!: number;

  @IsCount()
  readonly part!: number;

  @IsCount()
  readonly satOut!: number;

  /** All rounds that were marked. */
  @IsCount()
  readonly rounds!: number;

  /** The days of the first and the last class; null before the first. */
  @OrNull()
  @IsText()
  readonly first!: string | null;

  @OrNull()
  @IsText()
  readonly last!: string | null;
}
