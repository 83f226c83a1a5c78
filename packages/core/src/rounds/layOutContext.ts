import type { CallWords, ClipShelf } from '../calls/index.ts';
import type { Lead, MoveBook } from '../moves/index.ts';
import type { RandomSource, Seconds } from '../units/index.ts';
import type { Layout } from './cue.ts';
import type { CleanTempos } from './kinds/combo/tempoCheck.ts';
import type { CyclePlanner } from './kinds/combo/cyclePlan.ts';
import type { FormsOf } from './kinds/combo/strokeFormsOf.ts';
import type { CountWords, TempoShift, TimeCall } from './roundSettings.ts';

/** Where a block lies in its round. */
export interface BlockTime {
  readonly from: Seconds;
  readonly to: Seconds;
  /** When the work around this block ends: the last count belongs to that instant. */
  readonly workEnds: Seconds;
}

/** What the blocks of a round share while they are laid out. */
export interface LayOutContext {
  readonly lead: Lead;
  readonly book: MoveBook;
  readonly shelf: ClipShelf;
  readonly random: RandomSource;
  readonly shifts: readonly TempoShift[];
  readonly count: CountWords;
  readonly timeCalls: ReadonlySet<TimeCall>;
  /** What is clean at the pace of those who train. */
  readonly cleanTempos: CleanTempos;
  readonly layout: Layout;
  /** Shared, so that what comes in many blocks is walked and worded once. */
  readonly planner: CyclePlanner;
  readonly formsOf: (words: CallWords) => FormsOf;
}
