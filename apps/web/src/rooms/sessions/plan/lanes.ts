import { mostReps } from '@eurhythm/core/rounds';
import { isRightBlock, type AnyBlockDto, type SaveSessionDto } from '@eurhythm/contract';

/** Every group that the session knows or that a block names, in that order. */
export function groupNames(session: Pick<SaveSessionDto, 'groups' | 'rounds'>): string[] {
  const named = session.rounds.flatMap(({ blocks }) => blocks.flatMap(groupsOfBlock));
  return [...new Set([...(session.groups ?? []).map(({ name }) => name), ...named])].filter(
    (name) => name !== '',
  );
}

/** The groups that do something of their own anywhere in the session. */
export function lanesOf(
  session: Pick<SaveSessionDto, 'groups' | 'rounds'>,
  comboName: (id: string | undefined) => string,
): string[] {
  const blocks = session.rounds.flatMap((round) => round.blocks);
  return groupNames(session).filter((group) =>
    blocks.some((block) => laneOf(block, group, comboName) !== null),
  );
}

function groupsOfBlock(block: AnyBlockDto): string[] {
  const own =
    block.kind === 'combo'
      ? (block.lanes ?? []).map((lane) => lane.group)
      : block.kind === 'count' || block.kind === 'condition'
        ? block.groups.map((each) => each.group)
        : [];
  return [...own, ...(block.who ?? [])];
}

export interface LaneText {
  readonly text: string;
  /** The same where there is little room. */
  readonly short: string;
  /** Share of the block in which the group works; the rest is bonus. */
  readonly share: number;
}

/** What a group does of its own in a block; null when it does what everybody does. */
export function laneOf(
  block: AnyBlockDto,
  group: string,
  comboName: (id: string | undefined) => string,
): LaneText | null {
  if (block.who && block.who.length > 0 && !block.who.includes(group))
    return { text: 'rests', short: 'rests', share: 1 };
  if (block.kind === 'combo') {
    const lane = (block.lanes ?? []).find((each) => each.group === group);
    if (!lane) return null;
    const text = lane.combos.map((ref) => comboName(ref.comboId)).join(', ');
    // The lane says whose it is already.
    return { text, short: text.replaceAll(`${group} `, ''), share: 1 };
  }
  if (block.kind !== 'count' && block.kind !== 'condition') return null;
  const own = block.groups.find((each) => each.group === group);
  if (!own || block.reps === null || !isRightBlock(block)) return null;
  const most = mostReps(block.reps, block.groups);
  return {
    text: `${own.reps} of ${most}`,
    short: String(own.reps),
    share: most > 0 ? Math.min(1, own.reps / most) : 1,
  };
}
