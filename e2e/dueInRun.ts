import type { APIRequestContext } from '@playwright/test';
import { moveBook } from '@eurhythm/core/moves';
import { compileToPlay, type RoundToPlay } from '@eurhythm/core/run';
import { dueStrikes, type DueInRound } from '@eurhythm/core/strikes';

/** A round of a run, as the Floor compiles it. */
export async function roundInRun(
  request: APIRequestContext,
  runId: string,
  round: number,
): Promise<RoundToPlay> {
  const [run, plan] = await Promise.all(
    ['', '/plan'].map(async (path) =>
      (await request.get(`/api/runs/${runId}${path}`, { timeout: 120_000 })).json(),
    ),
  );
  const { lead, word, count, clips, factor, book, rounds } = plan;
  const setting = { seedKey: run.sessionId, lead, word, count, clips, factor };
  return compileToPlay(rounds[round], setting, moveBook(book.items, book.numbers));
}

/** What is due in it. */
export const dueInRun = async (...which: Parameters<typeof roundInRun>): Promise<DueInRound[]> =>
  dueStrikes(await roundInRun(...which));
