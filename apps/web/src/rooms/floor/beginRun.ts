import { runBegins, withPaces } from '@eurhythm/core/plan';
import type { BeginningView, FighterView, RunView } from '@eurhythm/contract';
import { keepBegun } from '../../floor/run/keptRun.ts';
import { queries, queryClient } from '../../server/queries.ts';
import { putRequest } from '../../sync/queue/queuedWrite.ts';
import { write } from '../../sync/useSync.ts';
import { SUBJECTS } from '../../sync/queue/subjects.ts';

/** A server that has not answered after so long is not waited for. */
const PATIENCE_MS = 3000;

export interface RunWish {
  readonly runId: string;
  readonly sessionId: string;
  readonly present: readonly FighterView[];
}

/**
 * Begins a run. The server is reported, and where it is away the run begins here as the server would begin it, from what was fetched
 * ahead; the server hears of it when it is back. @throws WriteRefused with the server's sentence, or that nothing was fetched ahead
 */
export async function beginRun({ runId, sessionId, present }: RunWish): Promise<RunView> {
  const fighterIds = present.map(({ id }) => id);
  const startedAt = new Date().toISOString();
  const message = write<RunView>(
    putRequest(SUBJECTS.run, `runs/${runId}`, { sessionId, fighterIds, startedAt }),
  );
  let late: ReturnType<typeof setTimeout> | undefined;
  const patience = new Promise<null>((done) => (late = setTimeout(() => done(null), PATIENCE_MS)));
  const answered = await Promise.race([message, patience]);
  clearTimeout(late);
  if (answered) return answered;
  // What becomes of it is reported on the rejectedWrites, should it be refused later.
  message.catch(() => {});
  const beginning = await queryClient.ensureQueryData(queries.beginning(sessionId)).catch(() => null);
  if (!beginning) return message;
  const run = await begunHere(beginning, runId, present, startedAt);
  const plan = { ...beginning.plan, runId };
  await keepBegun(run, plan);
  queryClient.setQueryData(queries.runPlan(runId).queryKey, plan);
  return run;
}

async function begunHere(
  { run, plan }: BeginningView,
  id: string,
  present: readonly FighterView[],
  startedAt: string,
): Promise<RunView> {
  const [session, sheet, gym] = await Promise.all([
    queryClient.ensureQueryData(queries.session(run.sessionId)).catch(() => null),
    queryClient.ensureQueryData(queries.sheet(run.sessionId)),
    queryClient.ensureQueryData(queries.gym()),
  ]);
  const begun = { ...run, id, startedAt, fighterIds: present.map((fighter) => fighter.id) };
  if (!session) return begun;
  const ranks = gym.grades.map((grade) => grade.id);
  const { rounds, partners } = runBegins(session.rounds, withPaces(present, plan.paces ?? []), sheet, ranks);
  return { ...begun, rounds, partners };
}
