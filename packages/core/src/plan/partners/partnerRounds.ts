import { isRest, kindOf, type Phase, type WrittenBlock } from '../../rounds/index.ts';
import type { Seconds } from '../../units/index.ts';
import { roundSeconds } from '../plannedRound.ts';
import type { GroupSize } from './partnerPlan.ts';

/** Time in which partners change roles: pads change hands. */
const CHANGE: Seconds = 15;
/** Who works alone rests so long afterwards. */
const ALONE_REST: Seconds = 35;

const CHANGE_ID = /^turn\.\d+$/;
/**
 * Whether a rest is there for those who stand together to change roles.
 *
 * @example
 * isChangeOfRoles({ id: 'turn.1' }) // true
 */
export const isChangeOfRoles = ({ id }: { readonly id: string }): boolean => CHANGE_ID.test(id);

const AGAIN_ID = /\.t\d+$/;

/** A round whose work is done in turns. */
interface RoundInTurns<B extends WrittenBlock = WrittenBlock> {
  readonly kind: Phase;
  readonly blocks: readonly B[];
  /** How many stand together in it and take turns; without it nobody changes roles inside the round. */
  readonly turns?: GroupSize | null | undefined;
}

/**
 * The blocks of a round as a coach writes them: one turn, without what is done again for the others.
 *
 * @example
 * oneTurn(inTurns({ kind: 'pads', blocks: [usualBlock('free', 'w')], turns: 2 }).blocks).map(({ id }) => id) // ['w']
 */
export function oneTurn<B extends WrittenBlock>(blocks: readonly B[]): B[] {
  return blocks.filter(({ id }) => !CHANGE_ID.test(id) && !AGAIN_ID.test(id));
}

/**
 * The round with its work done once for each who stands together: by two, work and hold change in between, by three the one who
 * watched works next (as `turnsOf` gives the turns); alone, a rest follows the work. A rest that ends the round stays at its end.
 *
 * @example
 * inTurns({ kind: 'pads', blocks: [usualBlock('free', 'w')], turns: 2 }).blocks.map(({ id }) => id) // ['w', 'turn.1', 'w.t2']
 */
export function inTurns<R extends RoundInTurns>(round: R): R {
  const { turns = null } = round;
  const written = oneTurn(round.blocks);
  const last = written.at(-1);
  const end = last && isRest(last) ? [last] : [];
  const work = written.slice(0, written.length - end.length);
  if (turns === null || work.length === 0) return { ...round, blocks: written };
  if (turns === 1)
    return { ...round, blocks: [...work, ...(end.length > 0 ? end : [changeRest(1, ALONE_REST, '')])] };
  const blocks = Array.from({ length: turns }, (_, turn) =>
    turn === 0
      ? work
      : [
          changeRest(turn, CHANGE, turns === 2 ? 'change: holders work' : 'change: watchers work'),
          ...work.map((block) => ({ ...block, id: `${block.id}.t${turn + 1}` })),
        ],
  ).flat();
  return { ...round, blocks: [...blocks, ...end] };
}

const changeRest = (turn: number, seconds: Seconds, next: string): WrittenBlock => ({
  kind: 'rest',
  id: `turn.${turn}`,
  seconds,
  ...(next === '' ? {} : { next }),
});

/**
 * The turn that runs at an instant of a round, from 0.
 *
 * @example
 * turnAt([{ id: 'w', seconds: 60 }, { id: 'turn.1', seconds: 15 }, { id: 'w.t2', seconds: 60 }], 80) // 1
 */
export function turnAt(
  blocks: readonly { readonly id: string; readonly seconds: Seconds }[],
  at: Seconds,
): number {
  let [from, turn] = [0, 0];
  for (const { id, seconds } of blocks) {
    if (from > at) break;
    if (CHANGE_ID.test(id)) turn += 1;
    from += seconds;
  }
  return turn;
}

/**
 * The round and the turn whose partners matter at an instant of a run: in the rest that ends a round, those of the next one.
 *
 * @param round from 0
 *
 * @example
 * turnInRun([{ blocks: [{ id: 'w', kind: 'free', seconds: 60 }, { id: 'r', kind: 'rest', seconds: 30 }] }], 0, 70) // { round: 1, turn: 0 }
 */
export function turnInRun(
  rounds: readonly { readonly blocks: readonly Pick<WrittenBlock, 'id' | 'kind' | 'seconds'>[] }[],
  round: number,
  at: Seconds,
): { readonly round: number; readonly turn: number } {
  const { blocks } = rounds[round]!;
  const last = blocks.at(-1);
  const isOver =
    last !== undefined &&
    kindOf(last).isRest &&
    !CHANGE_ID.test(last.id) &&
    at >= roundSeconds({ blocks }) - last.seconds;
  return isOver ? { round: round + 1, turn: 0 } : { round, turn: turnAt(blocks, at) };
}

/**
 * Which rotation of partners each round belongs to: pads, and every round that is done in turns, begin a new one as long as
 * there are any, and then they begin again; null for what nobody needs a partner for.
 *
 * @param rotations that there are, 0 or more
 *
 * @example
 * rotationsOf([{ kind: 'pads', blocks: [] }, { kind: 'stretch', blocks: [] }, { kind: 'pads', blocks: [] }], 4) // [0, null, 1]
 */
export function rotationsOf(rounds: readonly RoundInTurns[], rotations: number): (number | null)[] {
  let begun = 0;
  return rounds.map((round) => {
    const isPartnerWork = round.kind === 'pads' || isInTurns(round);
    return isPartnerWork && rotations > 0 ? begun++ % rotations : null;
  });
}

/**
 * Whether a round is written for people who stand together and take turns.
 *
 * @example
 * isInTurns({ kind: 'pads', turns: 3, blocks: [] }) // true
 */
export function isInTurns({ turns = null }: RoundInTurns): boolean {
  return turns !== null && turns > 1;
}

/**
 * The rounds with the change of partners reported in the rest before it, by name where there are `namesOf` a round.
 *
 * @example
 * announcePartners([{ kind: 'pads', title: 'A', blocks: [{ kind: 'rest', id: 'r', seconds: 30, next: 'B' }] }, { kind: 'pads', title: 'B', blocks: [] }], [0, 1])[0].blocks[0].next // 'B, change partners'
 */
export function announcePartners<R extends RoundInTurns & { readonly title: string }>(
  rounds: readonly R[],
  rotations: readonly (number | null)[],
  namesOf: (round: number) => string | null = () => null,
): R[] {
  let before: number | null = null;
  const changes = rotations.map((rotation) => {
    const isNew = rotation !== null && before !== null && rotation !== before;
    before = rotation ?? before;
    return isNew;
  });
  return rounds.map((round, i) => {
    const last = round.blocks.at(-1);
    const next = rounds[i + 1];
    const names = namesOf(i + 1);
    if (!(changes[i + 1] || names !== null) || !next || !last || !isRest(last)) return round;
    // What the rest says already stays: it may name more than the title.
    const announced = { ...last, next: `${last.next || next.title}, ${names ?? 'change partners'}` };
    return { ...round, blocks: [...round.blocks.slice(0, -1), announced] };
  });
}
