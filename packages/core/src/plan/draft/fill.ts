import { kindOf, isCounted, isRest, type WrittenBlock } from '../../rounds/index.ts';
import type { Seconds } from '../../units/index.ts';
import { isChangeOfRoles } from '../partners/partnerRounds.ts';
import type { Lengths } from './draftedClass.ts';
import type { DraftedRound } from './wish.ts';

/** Work and rests are made longer than is ideal by this share at most; where a class has too little to do, by more. */
const LONGER = [1.5, 3] as const;
const STEP: Seconds = 5;

/** What may be made longer: one block, or the same work of all who take turns. */
interface Stretch {
  readonly places: readonly (readonly [number, number])[];
  readonly ideal: Seconds;
  readonly most: Seconds;
  seconds: Seconds;
}

/**
 * The rounds with `left` seconds given to those that feel it least, nothing below what is ideal for it, and all who take turns alike; and
 * what could not be placed.
 */
export function filled(
  rounds: readonly DraftedRound[],
  left: Seconds,
  { most }: Lengths,
): { readonly rounds: DraftedRound[]; readonly left: Seconds } {
  const stretches = rounds.flatMap((round, r) => stretchesOf(round, r, most));
  let rest = left;
  for (const [share, step] of LONGER.flatMap(
    (share) =>
      [
        [share, STEP],
        [share, 1],
      ] as const,
  ))
    for (;;) {
      const fitting = stretches.filter(
        (each) =>
          each.seconds + step <= Math.min(each.most, each.ideal * share) && each.places.length * step <= rest,
      );
      const [first, ...others] = fitting;
      if (!first) break;
      const next = others.reduce((a, b) => (b.seconds / b.ideal < a.seconds / a.ideal ? b : a), first);
      next.seconds += step;
      rest -= next.places.length * step;
    }
  const lengths = new Map(
    stretches.flatMap(({ places, seconds }) => places.map(([r, b]) => [`${r} ${b}`, seconds] as const)),
  );
  return {
    left: rest,
    rounds: rounds.map((round, r) => ({
      ...round,
      blocks: round.blocks.map((block, b) => ({
        ...block,
        seconds: lengths.get(`${r} ${b}`) ?? block.seconds,
      })),
    })),
  };
}

function stretchesOf({ blocks, turns }: DraftedRound, r: number, most: Seconds): Stretch[] {
  const isFree = (block: WrittenBlock): boolean =>
    !isCounted(block) && kindOf(block).stretches && !isChangeOfRoles(block);
  const once = blocks.filter(({ id }) => !/\.t\d+$/.test(id));
  // What is done one after the other without a rest is looked at as one piece of work.
  const work = once.filter((block) => !isRest(block)).reduce((sum, { seconds }) => sum + seconds, 0);
  return once.filter(isFree).map((block): Stretch => {
    const places = blocks.flatMap(({ id }, b) =>
      id === block.id || (turns !== null && id.startsWith(`${block.id}.t`)) ? [[r, b] as const] : [],
    );
    const { seconds } = block;
    const limit = isRest(block) ? Infinity : Math.max(seconds, Math.floor((most * seconds) / work));
    return { places, seconds, ideal: seconds, most: limit };
  });
}
