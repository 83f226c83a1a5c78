import type { Phase, WrittenBlock } from '../../rounds/index.ts';

/** A round as it is thought of: its work once, before turns, rests and contact are laid over it. */
export interface PlainRound {
  readonly kind: Phase;
  readonly title: string;
  readonly work: readonly WrittenBlock[];
  readonly turns: 2 | 3 | null;
  readonly why: string;
  /** Somebody turns the back in it: it comes when everybody is warm. */
  readonly hasSpin?: boolean;
}
