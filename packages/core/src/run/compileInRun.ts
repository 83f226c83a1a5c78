import { clipLibrary, type VoiceClip } from '../calls/index.ts';
import type { Lead, MoveBook } from '../moves/index.ts';
import {
  combosOf,
  compileRound,
  isRest,
  usualBlock,
  type Block,
  type BlockCombo,
  type CompiledRound,
  type CountWords,
  type TempoShift,
  type TimeCall,
  USUAL_TIME_CALLS,
  roundScenes,
  type PlacedScene,
} from '../rounds/index.ts';
import type { Seconds } from '../units/index.ts';
import { roundSeed } from './roundSeed.ts';

/** A round of a run with its combos in their places. */
export interface PlannedRound {
  readonly id: string;
  readonly blocks: readonly Block[];
  readonly timeCalls?: readonly TimeCall[] | undefined;
}

/** What compiling needs beside the round: who owns its chances, from which lead, in which words. */
export interface RoundSetting {
  /** The session: see `roundSeed`. */
  readonly seedKey: string;
  readonly lead: Lead;
  /** The word of the day; empty for none. */
  readonly word: string;
  readonly count: CountWords;
  readonly clips: readonly VoiceClip[];
  /** Pace of those who train, for what is too fast; club pace without it. */
  readonly factor?: number;
}

/** A compiled round with the combos that its cues name. */
export interface RoundToPlay extends CompiledRound {
  readonly combos: readonly BlockCombo[];
  /** What there is to see beside the times through. */
  readonly scenes: readonly PlacedScene[];
  /** From there on all that is left of it is rest. */
  readonly workEnds: Seconds;
}

/**
 * Compiles a round as it is played: on the Floor, when it is only heard, and in files.
 *
 * @example
 * compileToPlay(burstRound(10), { seedKey: 'run', lead: 'left', word: '', count: ENGLISH_COUNT, clips: [] }, book).duration // 16
 */
export function compileToPlay(
  round: PlannedRound,
  { seedKey, lead, word, count, clips, factor }: RoundSetting,
  book: MoveBook,
  shifts: readonly TempoShift[] = [],
): RoundToPlay {
  const plan = {
    blocks: round.blocks,
    lead,
    seed: roundSeed(seedKey, round.id),
    shifts,
    word,
    count,
    ...(factor === undefined ? {} : { factor }),
    ...(round.timeCalls ? { timeCalls: round.timeCalls } : {}),
  };
  return {
    ...compileRound(plan, book, clipLibrary(clips)),
    combos: combosOf(round.blocks, book),
    scenes: roundScenes(round.blocks, { lead, factor }, book),
    workEnds: workEnds(round.blocks),
  };
}

function workEnds(blocks: readonly Block[]): Seconds {
  const last = blocks.findLastIndex((block) => !isRest(block));
  return blocks.slice(0, last + 1).reduce((sum, { seconds }) => sum + seconds, 0);
}

/** Time to get ready for a burst. */
export const BURST_READY: Seconds = 6;

/**
 * A burst between two rounds: a time to get ready, the bell, and so many seconds. While a microphone counts nothing is ticked.
 *
 * @example
 * burstRound(10).blocks.map(({ seconds }) => seconds) // [6, 10]
 */
export function burstRound(seconds: Seconds, isHeard = false): PlannedRound {
  return {
    id: 'burst',
    blocks: [
      { kind: 'rest', id: 'burst-ready', seconds: BURST_READY },
      { ...usualBlock('burst', 'burst'), seconds },
    ],
    ...(isHeard ? { timeCalls: USUAL_TIME_CALLS.filter((call) => call !== 'last-five') } : {}),
  };
}
