import type { Lead, MoveBook } from '../moves/index.ts';
import {
  ENGLISH_COUNT,
  fillBlock,
  kindOf,
  measuredBy,
  type BlockCombo,
  type TimeCall,
  type WrittenBlock,
} from '../rounds/index.ts';
import { oneTurn } from '../plan/index.ts';
import { howMany, type Seconds } from '../units/index.ts';
import { compileToPlay } from './compileInRun.ts';

/** A round as its run keeps it. */
export interface KeptRound {
  readonly id: string;
  readonly blocks: readonly WrittenBlock[];
  readonly timeCalls?: readonly TimeCall[] | undefined;
}

/** Who did it: with which group, from which lead, and up to which instant of the round where it was not all of it. */
export interface WhoDid {
  readonly group: string;
  readonly lead: Lead;
  /** The session: see `roundSeed`. */
  readonly seedKey: string;
  /** The word of the day; empty for none. */
  readonly word: string;
  readonly until: Seconds | null;
}

/**
 * What somebody did in a round beside its named combos, block by block: what, how many, which side. Of reactions, how often
 * they were called. Of who stopped, what was not begun is left out, and what was begun is reported as not done to its end.
 *
 * @param combos those that the round names, so that its chances are drawn as they were
 *
 * @example
 * workDone({ id: 'r', blocks: [{ kind: 'hold', id: 'h', seconds: 33, title: 'Low stance', holdSeconds: 30, sides: 'one', times: 1 }] }, { group: '', lead: 'left', seedKey: 's', word: '', until: null }, book) // ['Low stance: 30 s']
 */
export function workDone(
  round: KeptRound,
  who: WhoDid,
  book: MoveBook,
  combos: ReadonlyMap<string, BlockCombo> = new Map(),
): string[] {
  // Of a round in turns each works one of them; the others are for whoever stands with him.
  const blocks = oneTurn(round.blocks);
  // Where others work in between, when somebody stopped says nothing of how far his own turn went.
  const until = blocks.length === round.blocks.length ? (who.until ?? Infinity) : Infinity;
  let to = 0;
  return blocks.flatMap((block) => {
    const from = to;
    to += block.seconds;
    if (from >= until) return [];
    const worked = kindOf(block).worked(block, who.group, { lead: who.lead, book });
    if (measuredBy(block)?.kind !== 'reaction')
      return until < to ? worked.map((each) => `${each}, not to its end`) : worked;
    const calls = callsOf(round, block.id, who, book, combos);
    return worked.length === 0 ? [] : [`${worked.join(', ')}: ${howMany(calls, 'call')}`];
  });
}

/** How often a block of reactions called, each of which is shown to the holder. */
function callsOf(
  round: KeptRound,
  block: string,
  who: WhoDid,
  book: MoveBook,
  combos: ReadonlyMap<string, BlockCombo>,
): number {
  const { lead, seedKey, word } = who;
  const blocks = round.blocks.map((each) => fillBlock(each, combos));
  const setting = { seedKey, lead, word, count: ENGLISH_COUNT, clips: [] };
  const { cues } = compileToPlay({ ...round, blocks }, setting, book);
  return cues.filter((cue) => cue.kind === 'show' && cue.block === block && cue.at < (who.until ?? Infinity))
    .length;
}
