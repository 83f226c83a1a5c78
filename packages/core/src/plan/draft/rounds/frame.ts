import { demandsOf, youthFaultsIn } from '../../roundWork.ts';
import type { YouthLimits } from '../../../body/index.ts';
import { combosById, fillBlock, isCounted, usualBlock, type WrittenBlock } from '../../../rounds/index.ts';
import type { Seconds } from '../../../units/index.ts';
import { roundSeconds, type RoundLike } from '../../plannedRound.ts';
import type { DraftGym } from '../wish.ts';

/** Shares of a class for warm-up and for cool-down: the usual and the most (a coach's own measure). */
export const WARM_UP_SHARE = { usual: 0.11, most: 0.15 } as const;
export const COOL_DOWN_SHARE = { usual: 0.06, most: 0.08 } as const;
/** A block of this length is not shorter than the rules of a round allow. */
const SHORTEST: Seconds = 8;

export interface FrameGround {
  readonly gym: DraftGym;
  readonly floorSteps: number | null;
  readonly youth: YouthLimits | null;
}

/** The opening or the closing round of a class, as long as it is to be. */
export interface Framed extends RoundLike<WrittenBlock> {
  readonly why: string;
}

/**
 * A round of the library of so many seconds, own ones first: its parts by the clock are made longer or shorter, those that are counted
 * stay. Null where none fits the time, the room, the kit and the class.
 */
export function fromLibrary(
  kind: 'warm-up' | 'stretch' | 'conditioning',
  seconds: Seconds,
  ground: FrameGround,
): Framed | null {
  for (const round of ground.gym.library) {
    if (round.kind !== kind || !round.blocks.every((block) => isFor(block, ground))) continue;
    const blocks = madeToLast(round.blocks, seconds);
    if (blocks)
      return {
        ...round,
        blocks,
        why: `“${round.title}” from the library fits the time, the room and the kit.`,
      };
  }
  return null;
}

function isFor(written: WrittenBlock, { gym, floorSteps, youth }: FrameGround): boolean {
  const block = fillBlock(written, combosById(gym.combos));
  const has = new Set(gym.kit.map((item) => item.toLowerCase()));
  const { floor, highKick, spin } = demandsOf(block, gym.book);
  return (
    (gym.kit.length === 0 || (block.kit ?? []).every((item) => has.has(item.toLowerCase()))) &&
    (floorSteps === null || floor <= floorSteps) &&
    !highKick &&
    !spin &&
    (youth === null || youthFaultsIn(block, gym.book, youth, null).length === 0)
  );
}

/** The blocks with those that go by the clock between half and double as long; null where that is not enough. */
function madeToLast(blocks: readonly WrittenBlock[], seconds: Seconds): WrittenBlock[] | null {
  const free = blocks.filter((block) => !isCounted(block));
  const counted = roundSeconds({ blocks: blocks.filter((block) => isCounted(block)) });
  const share = (seconds - counted) / roundSeconds({ blocks: free });
  if (!(share >= 0.5 && share <= 2) || free.length === 0) return null;
  let left = seconds - counted;
  const lengths = new Map(
    free.map((block, i) => {
      const own = i === free.length - 1 ? left : Math.round(block.seconds * share);
      left -= own;
      return [block.id, own] as const;
    }),
  );
  if ([...lengths.values()].some((own) => own < SHORTEST)) return null;
  return blocks.map((block) => ({ ...block, seconds: lengths.get(block.id) ?? block.seconds }));
}

/** What is shared out over the parts of a round in these shares, in whole seconds. */
function shared(seconds: Seconds, shares: readonly number[]): Seconds[] {
  const all = shares.reduce((sum, share) => sum + share, 0);
  const parts = shares.map((share) => Math.floor((seconds * share) / all));
  parts[0]! += seconds - parts.reduce((sum, part) => sum + part, 0);
  return parts;
}

const exercise = (id: string, title: string, seconds: Seconds): WrittenBlock => ({
  ...usualBlock('condition', id),
  title,
  seconds,
  reps: null,
});

/** A warm-up that needs nothing: for a class that is too short or too small for those of the library. */
export function plainWarmUp(seconds: Seconds): Framed {
  const parts =
    seconds < 60
      ? [exercise('w1', 'Loose on the spot', seconds)]
      : shared(seconds, [3, 3, 4]).map((own, i) =>
          i < 2
            ? exercise(`w${i + 1}`, ['Loose on the spot', 'Shoulders, hips and knees in circles'][i]!, own)
            : {
                ...usualBlock('free', 'w3'),
                seconds: own,
                prompts: ['Hands high', 'Light feet', 'Circle out', 'Change lead'],
              },
        );
  return {
    ...{ id: 'warm-up', kind: 'warm-up', title: 'Warm-up', blocks: parts },
    why: 'Warm and loose before anything is struck.',
  };
}

/** The quiet end: walking, held stretches, breath. */
export function plainCoolDown(seconds: Seconds): Framed {
  const parts: WrittenBlock[] =
    seconds < 60
      ? [exercise('c1', 'Walk and let go', seconds)]
      : shared(seconds, [3, 3, 4]).map((own, i) =>
          i < 2
            ? exercise(`c${i + 1}`, ['Walk and let go', 'Long stretches, legs and shoulders'][i]!, own)
            : { ...usualBlock('breath', 'c3'), seconds: own },
        );
  return {
    ...{ id: 'cool-down', kind: 'stretch', title: 'Cool-down', blocks: parts },
    why: 'Down to a quiet breath.',
  };
}
