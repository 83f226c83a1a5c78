import type { APIRequestContext } from '@playwright/test';
import { moveBook } from '@eurhythm/core/moves';
import { compileToPlay } from '@eurhythm/core/run';
import { dueStrikes, type DueInRound } from '@eurhythm/core/strikes';

/** What is due in a round of a run, as the Floor compiles it. */
export async function dueInRun(
  request: APIRequestContext,
  runId: string,
  round: number,
): Promise<DueInRound[]> {
  const [run, plan] = await Promise.all(
    ['', '/plan'].map(async (path) => (await request.get(`/api/runs/${runId}${path}`)).json()),
  );
  const { lead, word, count, clips, factor, book, rounds } = plan;
  const setting = { seedKey: run.sessionId, lead, word, count, clips, factor };
  return dueStrikes(compileToPlay(rounds[round], setting, moveBook(book.items, book.numbers)));
}
