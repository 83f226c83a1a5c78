import { clockText, groupBy } from '../../units/index.ts';
import {
  firstOfEach,
  placeOfBlock,
  type ClassFacts,
  type PlacedBlock,
  type SessionWarning,
} from './placedBlocks.ts';

/** What no body does cleanly at the pace of the gym. */
export function tooFast(placed: readonly PlacedBlock[]): SessionWarning[] {
  const all = placed.flatMap((each) => each.block.work.tooFast.map((message) => ({ ...each, message })));
  return firstOfEach(all, ({ round, message }) => `${round.title} ${message}`).map((each) => ({
    rule: 'too-fast',
    message: `“${each.round.title}”: ${each.message}`,
    place: placeOfBlock(each),
  }));
}

/** So many are named; the others are counted. */
const NAMED = 3;

/** What is too fast for some by their own pace, each round once with who it is. */
export function tooFastForSome(
  placed: readonly PlacedBlock[],
  { paces = [], groups }: ClassFacts,
): SessionWarning[] {
  const found = placed.flatMap((each) => {
    const { who = [] } = each.block;
    const here = paces.filter(
      ({ group }) => who.length === 0 || groups.length === 0 || (group !== null && who.includes(group)),
    );
    const slow = here.flatMap((person) =>
      (each.block.tooFastFor?.(person) ?? []).map((of) => ({ name: person.name, ...of })),
    );
    return [...groupBy(slow, ({ combo }) => combo)].map(([combo, some]) => ({
      ...each,
      combo,
      slow: some,
      of: here.length,
    }));
  });
  return firstOfEach(found, ({ round, combo }) => `${round.title} ${combo}`).map((warning) => {
    const { slow, of, combo, ...each } = warning;
    const asked = Math.max(...slow.map((some) => some.asked));
    const named = slow.slice(0, NAMED).map(({ name, clean }) => `${name} ${clean}`);
    const more = slow.length > NAMED ? ` and ${slow.length - NAMED} more` : '';
    return {
      rule: 'too-fast-for-some',
      message: `“${each.round.title}”: ${combo} at ${asked} is faster than ${slow.length} of ${of} whose pace was measured do cleanly: ${named.join(', ')}${more}.`,
      place: placeOfBlock(each),
    };
  });
}

/** Counted work with another length than its counts need, as after a change of the gym's pace or of a combo. */
export function cutCounts(placed: readonly PlacedBlock[]): SessionWarning[] {
  const cut = placed.filter(({ block: { needs = null, seconds } }) => needs !== null && needs > seconds);
  return firstOfEach(cut, ({ round, block }) => `${round.title} ${block.seconds} ${block.needs}`).map(
    (each) => ({
      rule: 'counts-cut',
      message: `“${each.round.title}” counts for ${clockText(each.block.needs!)} and has ${clockText(each.block.seconds)}: its last counts are not done. Change anything in the block, and it takes its time.`,
      place: placeOfBlock(each),
    }),
  );
}
