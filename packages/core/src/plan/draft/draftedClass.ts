import type { CleanUpTo } from '../../tempo/index.ts';
import type { Seconds } from '../../units/index.ts';
import type { Bounds } from './choice/fittingShape.ts';
import type { ComboQueue } from './choice/comboQueue.ts';
import type { Theme } from './choice/theme.ts';
import type { ComingGroup } from './whoComes.ts';
import type { DraftGym, DraftLog } from './wish.ts';
import type { YouthLimits } from '../../body/index.ts';

/** A group with what it has to choose from. */
export interface DraftGroup extends ComingGroup {
  readonly queue: ComboQueue;
  /** Where its list of techniques begins in this class, as a share of it: drawn once. */
  readonly firstTechnique: number;
}

/** A class that is being drafted. */
export interface DraftClass {
  readonly gym: DraftGym;
  readonly log: DraftLog;
  readonly theme: Theme;
  readonly groups: readonly DraftGroup[];
  readonly youth: YouthLimits | null;
  readonly bounds: Bounds;
  readonly minutes: number;
  readonly cleanUpTo: CleanUpTo;
  /** Load beside a usual class, 1 being usual. */
  readonly load: number;
  /** Hardest contact in percent; null for what goes with the effort. */
  readonly contact: number | null;
  /** How many stand together on pads; null where everybody works alone. */
  readonly turns: 2 | 3 | null;
  readonly hasPads: boolean;
  readonly lengths: Lengths;
  random(): number;
}

/** How long work and rest are, in seconds, where nothing is squeezed (a coach's own measure; children work in short pieces). */
export interface Lengths {
  readonly work: Seconds;
  /** Of one who works while another holds. */
  readonly turn: Seconds;
  readonly parts: Seconds;
  readonly rest: Seconds;
  /** Longest work without a rest. */
  readonly most: Seconds;
}

export const ADULT_LENGTHS: Lengths = { work: 120, turn: 75, parts: 150, rest: 30, most: 300 };
export const CHILD_LENGTHS: Lengths = { work: 75, turn: 45, parts: 90, rest: 25, most: 165 };
/** Below this load a class is a light one. */
export const LIGHT_CLASS = 0.8;
/** A class shorter than this has shorter rounds. */
export const SHORT_CLASS = 25;
const SHORT_SHARE = 0.7;

export function lengthsOf(minutes: number, hasChildren: boolean): Lengths {
  const usual = hasChildren ? CHILD_LENGTHS : ADULT_LENGTHS;
  if (minutes >= SHORT_CLASS) return usual;
  const shorter = (seconds: Seconds): Seconds => Math.max(20, 5 * Math.round((seconds * SHORT_SHARE) / 5));
  return {
    work: shorter(usual.work),
    turn: shorter(usual.turn),
    parts: shorter(usual.parts),
    rest: 20,
    most: usual.most,
  };
}
