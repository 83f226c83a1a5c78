import { PACE_FACTORS } from '../body/index.ts';
import type { CallWords, ClipLibrary } from '../calls/index.ts';
import type { Lead, MoveBook } from '../moves/index.ts';
import { seededRandom, type RandomSource, type Seconds } from '../units/index.ts';
import type { Layout } from './cue.ts';
import { cleanTempos, type AskedTempo, type CleanTempos } from './kinds/combo/tempoCheck.ts';
import { cyclePlanner, type CyclePlanner } from './kinds/combo/cyclePlan.ts';
import { strokeFormsOf, type FormsOf } from './kinds/combo/strokeFormsOf.ts';
import {
  ENGLISH_COUNT,
  USUAL_TIME_CALLS,
  type CountWords,
  type TempoShift,
  type TimeCall,
} from './roundSettings.ts';

/** Where a block lies in its round. */
export interface BlockTime {
  readonly from: Seconds;
  readonly to: Seconds;
  /** When the work around this block ends: the last count belongs to that instant. */
  readonly workEnds: Seconds;
  /** Whether people stood before it, and heard what was to come; at the start of a round too. */
  readonly afterPause: boolean;
}

/** What the blocks of a round share while they are laid out. */
export interface LayOutContext {
  /** From which lead the round is done. */
  readonly lead: Lead;
  /** How those who train stand when a block begins; each block leaves it as it ends. */
  readonly standing: { lead: Lead };
  /** Pace of those who train. */
  readonly factor: number;
  readonly book: MoveBook;
  readonly library: ClipLibrary;
  readonly random: RandomSource;
  readonly shifts: readonly TempoShift[];
  readonly count: CountWords;
  readonly timeCalls: ReadonlySet<TimeCall>;
  /** What is clean at the pace of those who train. */
  readonly cleanTempos: CleanTempos;
  readonly onAsked: ((asked: AskedTempo) => void) | undefined;
  readonly layout: Layout;
  /** Shared, so that what comes in many blocks is walked and worded once. */
  readonly planner: CyclePlanner;
  readonly formsOf: (words: CallWords) => FormsOf;
}

/** What blocks are laid out from, beside themselves. `seed` settles everything that is left to chance. */
export interface RoundGround {
  readonly lead: Lead;
  readonly seed: number;
  readonly shifts?: readonly TempoShift[];
  /** What is called out about the time; the usual calls without it. */
  readonly timeCalls?: readonly TimeCall[];
  /** What is counted in; English without it. */
  readonly count?: CountWords;
  /** Pace of those who train; club pace without it. */
  readonly factor?: number;
  /** Is reported each time through a combo at its full tempo. */
  readonly onAsked?: (asked: AskedTempo) => void;
}

/** What the blocks of a round share, before the first of them is laid out. */
export function layOutContext(
  {
    lead,
    seed,
    shifts = [],
    timeCalls = USUAL_TIME_CALLS,
    count = ENGLISH_COUNT,
    factor = PACE_FACTORS.club,
    onAsked,
  }: RoundGround,
  book: MoveBook,
  library: ClipLibrary,
  layout: Layout,
): LayOutContext {
  const formsByWords = new Map<CallWords, FormsOf>();
  return {
    lead,
    standing: { lead },
    factor,
    book,
    library,
    random: seededRandom(seed),
    shifts,
    count,
    timeCalls: new Set(timeCalls),
    cleanTempos: cleanTempos(factor),
    onAsked,
    layout,
    planner: cyclePlanner(book),
    formsOf: (words) => {
      let forms = formsByWords.get(words);
      if (!forms) formsByWords.set(words, (forms = strokeFormsOf(book, words)));
      return forms;
    },
  };
}
