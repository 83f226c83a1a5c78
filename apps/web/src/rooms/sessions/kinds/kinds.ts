import { usualBlock, type BlockKindName, type NameOf } from '@eurhythm/core/rounds';
import type { AnyBlockDto, SchoolDto } from '@eurhythm/contract';
import type { BlockPage, LaneText } from './blockPage.ts';
import { breathPage } from './breath.ts';
import { burstPage } from './burst.ts';
import { comboPage } from './combo.ts';
import { conditionPage } from './condition.ts';
import { countPage } from './count.ts';
import { footworkPage } from './footwork.ts';
import { freePage } from './free.ts';
import { holdPage } from './hold.ts';
import { lineupPage } from './lineup.ts';
import { reactPage } from './react.ts';
import { restPage } from './rest.ts';
import { talkPage } from './talk.ts';

const PAGES = {
  combo: comboPage,
  count: countPage,
  burst: burstPage,
  hold: holdPage,
  free: freePage,
  react: reactPage,
  footwork: footworkPage,
  condition: conditionPage,
  breath: breathPage,
  lineup: lineupPage,
  rest: restPage,
  talk: talkPage,
} as const satisfies { readonly [K in BlockKindName]: BlockPage<Extract<AnyBlockDto, { kind: K }>> };

/** How a kind of block is shown. Each is only ever given blocks of its own, which the types cannot follow through a table. */
export function pageOf({ kind }: { readonly kind: BlockKindName }): BlockPage<AnyBlockDto> {
  return PAGES[kind] as unknown as BlockPage<AnyBlockDto>;
}

/** A block as a coach would begin it: combos with one of the book, called as the gym calls. */
export function newBlock(
  kind: BlockKindName,
  id: string,
  comboId: string | null,
  words: SchoolDto['words'] = 'numbers',
): AnyBlockDto {
  const block = usualBlock(kind, id) as AnyBlockDto;
  return block.kind === 'combo' ? { ...block, combos: comboId === null ? [] : [{ comboId }], words } : block;
}

/** What a group does of its own in a block; null when it does what everybody does. */
export function laneOf(block: AnyBlockDto, group: string, nameOf: NameOf): LaneText | null {
  if (block.who && block.who.length > 0 && !block.who.includes(group))
    return { text: 'rests', short: 'rests', share: 1 };
  return pageOf(block).lane?.(block, group, nameOf) ?? null;
}
