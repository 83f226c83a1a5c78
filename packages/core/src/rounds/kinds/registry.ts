import type { MoveBook } from '../../moves/index.ts';
import type { Seconds } from '../../units/index.ts';
import type { BlockKind, NameOf } from './blockKind.ts';
import { breathKind, type BreathBlock } from './breath/breathKind.ts';
import { burstKind, type BurstBlock } from './burst/burstKind.ts';
import type { BlockCombo, ComboBlock, ComboRef } from './combo/comboBlock.ts';
import { comboKind } from './combo/comboKind.ts';
import type { ConditionBlock } from './condition/conditionBlock.ts';
import { conditionKind } from './condition/conditionKind.ts';
import type { CountBlock } from './count/countBlock.ts';
import { countKind } from './count/countKind.ts';
import { footworkKind } from './footwork/footworkKind.ts';
import type { FootworkBlock } from './footwork/footworkLine.ts';
import { freeKind, type FreeBlock } from './free/freeKind.ts';
import type { HoldBlock } from './hold/holdBlock.ts';
import { holdKind } from './hold/holdKind.ts';
import { reactKind, type ReactBlock } from './react/reactKind.ts';
import { restKind, type RestBlock } from './rest/restKind.ts';
import { talkKind, type TalkBlock } from './talk/talkKind.ts';

/** A part of a round. `C` is how its combos stand in it: filled in, or by reference. */
export type Block<C = BlockCombo> =
  | ComboBlock<C>
  | CountBlock
  | BurstBlock
  | HoldBlock
  | FreeBlock
  | ReactBlock
  | FootworkBlock
  | ConditionBlock
  | BreathBlock
  | RestBlock
  | TalkBlock;

/** A block as it is written and kept. */
export type WrittenBlock = Block<ComboRef>;
export type BlockKindName = Block['kind'];

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
  rest: restKind,
  talk: talkKind,
} as const satisfies Readonly<Record<BlockKindName, unknown>>;

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
 * One line about a block: what is done, and how much of it.
 *
 * @example
 * tellBlock(usualBlock('hold', 'h'), () => '') // 'Low stance: 30 s each side × 1'
 */
export function tellBlock(block: WrittenBlock, nameOf: NameOf): string {
  return kindOf(block).tell(block, nameOf);
}

/**
 * Whether the length of a block follows from its counts, so that it is told and not asked.
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
 * combosOf([filled('rest')], book) // []
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
