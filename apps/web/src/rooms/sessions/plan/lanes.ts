import { kindOf, type NameOf } from '@eurhythm/core/rounds';
import type { SaveSessionDto } from '@eurhythm/contract';
import { laneOf } from '../kinds/kinds.ts';

/** Every group that the session knows or that a block names, in that order. */
export function groupNames(session: Pick<SaveSessionDto, 'groups' | 'rounds'>): string[] {
  const named = session.rounds
    .flatMap(({ blocks }) => blocks)
    .flatMap((block) => [...kindOf(block).groups(block), ...(block.who ?? [])]);
  return [...new Set([...(session.groups ?? []).map(({ name }) => name), ...named])].filter(
    (name) => name !== '',
  );
}

/** The groups that do something of their own anywhere in the session. */
export function lanesOf(session: Pick<SaveSessionDto, 'groups' | 'rounds'>, nameOf: NameOf): string[] {
  const blocks = session.rounds.flatMap((round) => round.blocks);
  return groupNames(session).filter((group) => blocks.some((block) => laneOf(block, group, nameOf) !== null));
}
