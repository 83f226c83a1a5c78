import { PACE_FACTORS } from '../body/index.ts';
import type { Lead, MoveBook } from '../moves/index.ts';
import type { Seconds } from '../units/index.ts';
import { kindOf, type Block } from './kinds/registry.ts';
import type { PlacedScene, Scene } from './scene.ts';

/**
 * What there is to see in a round beside its times through, from its start to its end; in order of time.
 *
 * @example
 * roundScenes([filled('talk')], { lead: 'left' }, book).map(({ what }) => what) // ['What comes next']
 */
export function roundScenes(
  blocks: readonly Block[],
  { lead, factor = PACE_FACTORS.club }: { readonly lead: Lead; readonly factor?: number | undefined },
  book: MoveBook,
): PlacedScene[] {
  let from = 0;
  return blocks.flatMap((block) => {
    const time = { from, to: from + block.seconds };
    from = time.to;
    return kindOf(block)
      .scenes(block, time, { lead, book, factor })
      .filter(({ at }) => at < time.to)
      .map((scene, i) => ({ ...spokenBefore(block, scene, i), block: block.id }));
  });
}

/** For whom a block is, and what a coach says before it, stand where it begins. */
function spokenBefore({ who = [], tell = '' }: Block, scene: Scene, place: number): Scene {
  const how = who.length === 0 ? (scene.how ?? []) : [`for ${who.join(', ')}`, ...(scene.how ?? [])];
  return { ...scene, how, ...(place === 0 && tell !== '' && !scene.notes ? { notes: tell } : {}) };
}

/**
 * The scene that is seen in a block at an instant; null where the block has none.
 *
 * @example
 * sceneAt([{ at: 0, block: 'b', what: 'wait' }, { at: 10, block: 'b', what: 'go' }], 'b', 12).what // 'go'
 */
export function sceneAt(scenes: readonly PlacedScene[], block: string, at: Seconds): PlacedScene | null {
  return scenes.findLast((scene) => scene.at <= at && scene.block === block) ?? null;
}
