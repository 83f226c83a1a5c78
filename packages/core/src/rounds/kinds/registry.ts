import type { MoveBook } from '../../moves/index.ts';
import { clockText, type Bpm, type Seconds } from '../../units/index.ts';
import type { BlockKind, BoardView, HandoutLine, Measured, NameOf } from './blockKind.ts';
import { breathKind } from './breath/breathKind.ts';
import { burstKind } from './burst/burstKind.ts';
import type { BlockCombo } from './combo/comboBlock.ts';
import { comboKind } from './combo/comboKind.ts';
import { conditionKind } from './condition/conditionKind.ts';
import { countKind } from './count/countKind.ts';
import { footworkKind } from './footwork/footworkKind.ts';
import { freeKind } from './free/freeKind.ts';
import { holdKind } from './hold/holdKind.ts';
import { lineupKind } from './lineup/lineupKind.ts';
import { reactKind } from './react/reactKind.ts';
import { restKind } from './rest/restKind.ts';
import { talkKind } from './talk/talkKind.ts';

/** What is particular to each kind of block, in the order in which a coach is offered them. */
const KINDS = {
  combo: comboKind,
  count: countKind,
  burst: burstKind,
  hold: holdKind,
  free: freeKind,
  react: reactKind,
  footwork: footworkKind,
  condition: conditionKind,
  breath: breathKind,
  lineup: lineupKind,
  rest: restKind,
  talk: talkKind,
} as const;

export type BlockKindName = keyof typeof KINDS;
type Kind = (typeof KINDS)[BlockKindName];

/** A part of a round, with its combos filled in. */
export type Block = FilledOf<Kind>;
type FilledOf<K> = K extends BlockKind<infer B, infer _> ? B : never;

/** A block as it is written and kept: it names its combos. */
export type WrittenBlock = WrittenOf<Kind>;
type WrittenOf<K> = K extends BlockKind<infer _, infer W> ? W : never;

export const BLOCK_KINDS = Object.keys(KINDS) as readonly BlockKindName[];

type AnyKind = BlockKind<Block, WrittenBlock>;

/**
 * The kind of a block. Each kind is only ever given blocks of its own, which the types cannot follow through a table.
 *
 * @example
 * kindOf({ kind: 'rest' }).isPause // true
 */
export function kindOf({ kind }: { readonly kind: BlockKindName }): AnyKind {
  return KINDS[kind] as unknown as AnyKind;
}

/**
 * Whether everybody stands: no bell rings for it, and no work goes on.
 *
 * @example
 * isPause({ kind: 'breath' }) // true
 */
export function isPause(block: { readonly kind: BlockKindName }): boolean {
  return kindOf(block).isPause;
}

/**
 * What a block's voice calls strokes by.
 *
 * @example
 * callWordsOf({ kind: 'combo', words: 'numbers', calls: 'on-beat' }) // 'numbers'
 */
export function callWordsOf(block: WrittenBlock): 'numbers' | 'names' {
  return kindOf(block as Block).callsNumbers(block as Block) ? 'numbers' : 'names';
}

/**
 * What has to be said in the rest before a block, for it leaves no time for that; empty for most.
 *
 * @example
 * saidAhead(usualBlock('burst', 'b')) // 'Two straights'
 */
export function saidAhead(block: WrittenBlock): string {
  return kindOf(block).saidAhead(block);
}

/**
 * Whether people rest, change places, and look for what comes next.
 *
 * @example
 * isRest({ kind: 'rest' }) // true
 */
export function isRest<B extends { readonly kind: BlockKindName }>(
  block: B,
): block is Extract<B, { readonly kind: 'rest' }> {
  return kindOf(block).isRest;
}

/**
 * What everybody looks at while a block is done.
 *
 * @example
 * boardOf({ kind: 'footwork' }) // 'steps'
 */
export function boardOf(block: { readonly kind: BlockKindName }): BoardView {
  return kindOf(block).board;
}

/**
 * What a block measures of a fighter; null for most.
 *
 * @example
 * measuredBy(usualBlock('burst', 'b')) // { kind: 'burst', title: 'Two straights', seconds: 10 }
 */
export function measuredBy(
  block: WrittenBlock,
  of?: { readonly group: string; readonly book: MoveBook },
): Measured | null {
  return kindOf(block).measures(block, of);
}

/**
 * The tempo of a block's combos in beats a minute; null for what has none.
 *
 * @example
 * bpmOf(usualBlock('combo', 'c')) // 80
 */
export function bpmOf(block: WrittenBlock): Bpm | null {
  return kindOf(block).bpm(block);
}

/**
 * A block as one group does it: its own combos, line or number where it has any; for everybody else as it stands.
 *
 * @example
 * blockOfGroup({ ...usualBlock('count', 'c'), groups: [{ group: 'Reef', reps: 20 }] }, 'Reef').reps // 20
 */
export function blockOfGroup(block: WrittenBlock, group: string): WrittenBlock {
  return kindOf(block).ofGroup(block, group);
}

/**
 * What is done in a block, line by line, for a sheet that somebody works by; nothing where people rest.
 *
 * @example
 * handoutOf({ ...usualBlock('breath', 'b'), title: 'See it' }, new Map())[0].text // 'Breath See it: in 4, out 6'
 */
export function handoutOf(
  block: WrittenBlock,
  combos: ReadonlyMap<string, BlockCombo>,
): readonly HandoutLine[] {
  const kind = kindOf(block);
  const own = kind.handout(block, combos);
  if (own) return own;
  // Combos are reported line by line, so that there is nothing to name here.
  const summary = kind.tell(block, () => '');
  const lines = kind.written(block).flatMap(({ line }) => (summary.includes(line) ? [] : [line]));
  return [
    {
      text: `${kind.name} ${summary}`.trim(),
      lines,
      ...(kind.isCounted(block) ? {} : { time: clockText(block.seconds) }),
    },
  ];
}

/**
 * One line about a block: what is done, and how much of it.
 *
 * @example
 * tellBlock(usualBlock('hold', 'h'), () => '') // 'Low stance: 30 s each side × 1'
 */
export function tellBlock(block: WrittenBlock, nameOf: NameOf): string {
  return kindOf(block).tell(block, nameOf);
}

/**
 * Whether the length of a block follows from its counts, so that it is reported and not asked.
 *
 * @example
 * isCounted(usualBlock('hold', 'h')) // true
 */
export function isCounted(block: WrittenBlock): boolean {
  return kindOf(block).isCounted(block);
}

/**
 * The exact length of a block whose work is counted, in whole seconds rounded up; null for one that goes by the clock, or
 * whose combos are not among `combos`.
 *
 * @param factor how many times as long as at club pace a body needs for a move
 *
 * @example
 * countedLength(usualBlock('hold', 'h'), book, 1) // 66
 */
export function countedLength(
  block: WrittenBlock,
  book: MoveBook,
  factor: number,
  combos: ReadonlyMap<string, BlockCombo> = NO_COMBOS,
): Seconds | null {
  const seconds = kindOf(block).length(block, book, factor, combos);
  return seconds === null ? null : Math.ceil(seconds);
}

const NO_COMBOS: ReadonlyMap<string, BlockCombo> = new Map();

/**
 * A block with the combos that it names filled in; those that are not among `combos` are left out.
 *
 * @example
 * fillBlock(usualBlock('rest', 'r'), new Map()).seconds // 40
 */
export function fillBlock(block: WrittenBlock, combos: ReadonlyMap<string, BlockCombo>): Block {
  return kindOf(block).fill(block, combos);
}

/**
 * The combos that the times through of blocks name, those of groups too.
 *
 * @example
 * combosOf([{ ...filled('combo'), combos: [combo] }], book).map(({ title }) => title) // ['A']
 */
export function combosOf(blocks: readonly Block[], book: MoveBook): BlockCombo[] {
  return blocks.flatMap((block) => kindOf(block).combos(block, book));
}

/**
 * A block as a coach would begin it.
 *
 * @example
 * usualBlock('burst', 'b1') // { kind: 'burst', id: 'b1', seconds: 10, title: 'Two straights' }
 */
export function usualBlock<K extends BlockKindName>(kind: K, id: string): Extract<WrittenBlock, { kind: K }> {
  return kindOf({ kind }).usual(id) as Extract<WrittenBlock, { kind: K }>;
}
