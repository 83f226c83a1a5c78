import type { CallWords } from '../../calls/index.ts';
import type { CountBlock } from '../../rounds/index.ts';
import type { DraftCombo } from './pickCombos.ts';
import type { RoundLike } from '../plannedRound.ts';

/** A technique of a grade, ready to be counted. */
export type DraftTechnique = Pick<CountBlock, 'title' | 'line' | 'reps' | 'sides' | 'sets' | 'rest'>;

/** Who trains together, and what they have to choose from. */
export interface DraftGroup {
  readonly name: string;
  readonly combos: readonly DraftCombo[];
  readonly techniques: readonly DraftTechnique[];
}

export interface DraftWish {
  readonly minutes: number;
  /** The first group is the one that the voice calls; the others get combos of their own beside it. */
  readonly groups: readonly DraftGroup[];
  readonly focus: string | null;
  readonly floorSteps: number | null;
  /** What is at hand; empty when nobody said. */
  readonly kit: readonly string[];
  readonly people: number;
  /** Rounds of the library to take warm-up, conditioning and stretch from, own ones first. */
  readonly library: readonly RoundLike[];
  readonly words: CallWords;
  readonly prompts: readonly string[];
  /** Pace factor of the gym, for what is counted. */
  readonly factor: number;
}

export interface DraftedRound extends RoundLike {
  /** Why it is there, in one line. */
  readonly why: string;
}

export interface SessionDraft {
  readonly rounds: readonly DraftedRound[];
  /** What could not be had, each in one sentence. */
  readonly notes: readonly string[];
}
