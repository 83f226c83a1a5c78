import { comboName } from '@eurhythm/core/plan';
import { sceneAt, type BlockCombo, type Cycle, isRest } from '@eurhythm/core/rounds';
import type { RoundToPlay } from '@eurhythm/core/run';
import type { LineTeller } from '../../../strip/lineWords.ts';
import type { ShownRun } from './shown.ts';

type RunBlock = ShownRun['rounds'][number]['blocks'][number];

/** The block that runs at an instant, when it ends, and the seconds that are left of it. */
export function blockAt(
  blocks: readonly RunBlock[],
  at: number,
): { block: RunBlock | undefined; end: number; left: number } {
  let end = 0;
  for (const block of blocks) {
    end += block.seconds;
    if (at < end) return { block, end, left: end - at };
  }
  return { block: blocks.at(-1), end, left: 0 };
}

/** Whether people rest at this instant. */
export function isResting(blocks: readonly RunBlock[], at: number): boolean {
  const { block } = blockAt(blocks, at);
  return block !== undefined && isRest(block);
}

export function nextCycle(round: Pick<RoundToPlay, 'cycles'>, at: number): Cycle | undefined {
  return round.cycles.find((cycle) => cycle.at >= at);
}

/** The round whose work comes after an instant of a rest: this one in a rest before or within it, else the next; null at the end. */
export function roundAfterRest(run: ShownRun, round: number, at: number): number | null {
  const { blocks } = run.rounds[round]!;
  const { block } = blockAt(blocks, at);
  const later = block ? blocks.slice(blocks.indexOf(block) + 1) : [];
  if (later.some((each) => !isRest(each))) return round;
  return round + 1 < run.rounds.length ? round + 1 : null;
}

/** How a round that comes is named; null for none. */
export function nextText(run: ShownRun, round: number | null): string {
  return (round === null ? undefined : run.rounds[round]?.title) ?? 'the end';
}

interface Shown {
  readonly run: ShownRun;
  readonly compiled: RoundToPlay;
  readonly combos: ReadonlyMap<string, BlockCombo>;
  readonly round: number;
  readonly at: number;
  /** The time through that is shown now. */
  readonly shown: Cycle | undefined;
  readonly tell: LineTeller;
}

/** What comes after what is shown: another combo, another block, or the next round. */
export function nextInRound({ run, compiled, combos, round, at, shown, tell }: Shown): string {
  const { blocks } = run.rounds[round]!;
  const { block, end } = blockAt(blocks, at);
  const later = compiled.cycles.find(
    (cycle) =>
      cycle.at > at &&
      cycle.at < end &&
      (cycle.combo !== shown?.combo || cycle.lead !== shown.lead || cycle.line !== shown.line),
  );
  const combo = later && combos.get(later.combo);
  if (combo)
    return `next: ${comboName(combo)}, ${later.lead} lead · ${tell(later.line ?? combo.line, later.lead)}`;
  const following = block && blocks[blocks.indexOf(block) + 1];
  if (!following) return `after this round: ${nextText(run, round + 1)}`;
  if (isRest(following)) return `next: rest, then ${nextText(run, roundAfterRest(run, round, end))}`;
  const cycle = compiled.cycles.find((each) => each.block === following.id);
  const what = sceneAt(compiled.scenes, following.id, end)?.what ?? comboName(combos.get(cycle?.combo ?? ''));
  return `next: ${what}`;
}
