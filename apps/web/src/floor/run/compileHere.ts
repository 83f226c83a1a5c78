import type { Lead } from '@eurhythm/core/moves';
import { placeholderBlock, type TimeCall } from '@eurhythm/core/rounds';
import type { RoundToPlay } from '@eurhythm/core/run';
import { isRightBlock, type AnyBlockDto, type BlocksPlanView } from '@eurhythm/contract';
import { send } from '../../server/api.ts';
import { queries, queryClient } from '../../server/queries.ts';
import { coreWorkWith } from '../../workers/coreWork.ts';

/** A round that is written on a page and to be heard, and whose chances are drawn for `seedKey`. */
export interface RoundToHear {
  readonly seedKey: string;
  readonly id: string;
  readonly blocks: readonly AnyBlockDto[];
  readonly timeCalls?: readonly TimeCall[] | null | undefined;
  readonly lead: Lead;
  readonly word?: string | undefined;
}

/**
 * Compiles a round that is no run's: the server gives its combos and what the voice may say, the worker does the rest. A
 * block that is not right yet is quiet. @throws Refused with the server's sentence.
 */
export async function compileHere(round: RoundToHear): Promise<RoundToPlay> {
  const { seedKey, id, lead, word = '' } = round;
  const blocks = round.blocks.map((block) => (isRightBlock(block) ? block : placeholderBlock(block)));
  const timeCalls = round.timeCalls ?? undefined;
  const [plan, book] = await Promise.all([
    send<BlocksPlanView>('POST', 'rounds/plan', {
      blocks,
      ...(timeCalls ? { timeCalls } : {}),
      ...(word === '' ? {} : { word }),
    }),
    queryClient.ensureQueryData(queries.moves()),
  ]);
  const work = await coreWorkWith(book);
  return work.compile(
    { id, blocks: plan.blocks, timeCalls },
    { seedKey, lead, word, count: plan.count, clips: plan.clips, factor: plan.factor },
    [],
  );
}
