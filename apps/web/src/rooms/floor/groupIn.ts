import type { RunView } from '@eurhythm/contract';

/** The group that somebody is in; empty for none. */
export function groupIn({ groups }: Pick<RunView, 'groups'>, fighterId: string): string {
  return groups.find(({ fighterIds }) => fighterIds.includes(fighterId))?.name ?? '';
}
