import type { Seconds } from '../../units/index.ts';

/** What the planner would report of a block, and a coach may want all the same. */
export const MUTED_RULES = ['too-fast', 'too-fast-for-some', 'no-rest', 'small-room', 'kit-missing'] as const;
export type MutedRule = (typeof MUTED_RULES)[number];

/** What every block has. */
export interface BlockBase {
  readonly kind: string;
  readonly id: string;
  readonly seconds: Seconds;
  /** Names of the groups it is for; empty for everybody. */
  readonly who?: readonly string[];
  /** What has to be at hand, such as pads. */
  readonly kit?: readonly string[];
  /** Steps of floor needed one way, beyond what its lines need. */
  readonly space?: number | null;
  /** Rules of the planner that are not to be reported of it. */
  readonly muted?: readonly MutedRule[] | undefined;
  /** What the coach says before it begins. */
  readonly tell?: string;
}

/** Shortest and longest wait between two things that come at random. */
export interface Waits {
  readonly min: Seconds;
  readonly max: Seconds;
}

export const SIDES = ['both', 'one'] as const;
/** Whether each side of the body does it, or it is done once. */
export type Sides = (typeof SIDES)[number];
