import type { MoveBook } from '@eurhythm/core/moves';
import type { RoundToPlay } from '@eurhythm/core/run';
import { dueInLane } from '@eurhythm/core/strikes';
import type { RunView } from '@eurhythm/contract';
import type { WorkersOf } from '../../../floor/listening/strikeResults.ts';
import { partnersAt } from '../board/PartnersNow.tsx';

/**
 * Who works where something listens, by the partners of the round and its turns: the only one of those there whose turn it is. Without
 * partners it is the one who is there alone; of two nobody knows who struck.
 */
export function workersIn(
  run: Pick<RunView, 'rounds' | 'partners' | 'groups'>,
  round: number,
  compiled: RoundToPlay,
  book: MoveBook,
): WorkersOf {
  return (fighterIds) => ({
    dueOf: (fighterId) => {
      const group = run.groups.find((each) => each.fighterIds.includes(fighterId))?.name ?? '';
      return dueInLane(compiled, group, compiled.combos, book);
    },
    workerAt: (at) => {
      const partners = partnersAt(run, round, at);
      if (!partners) return fighterIds.length === 1 ? fighterIds[0]! : null;
      const working = partners.flat().filter(({ id, role }) => role === 'work' && fighterIds.includes(id));
      return working.length === 1 ? working[0]!.id : null;
    },
  });
}
