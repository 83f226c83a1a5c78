import type { RoundPartners } from '@eurhythm/core/plan';
import type { ResultView, RunEventView, RunPlanView, RunView } from '@eurhythm/contract';

/*
 * What this device knows of the runs that it plays, kept until they are closed: a page that is loaded while the server is away finds the
 * run where it stands, with every press that the server may not have yet.
 */

export interface KeptRun {
  /** Events and marks that were made here, as they were sent. */
  readonly events: readonly RunEventView[];
  readonly results: Readonly<Record<string, ResultView | null>>;
  /** Who stands together since somebody came or left; null while all are as at the beginning. */
  readonly partners: RunView['partners'] | null;
}

const NOTHING: KeptRun = { events: [], results: {}, partners: null };
const placeOf = (runId: string): string => `eurhythm.run.${runId}`;
/** The cache in which the application keeps what it fetched of the gym. */
const CACHE = 'gym';

export function keptRun(runId: string): KeptRun {
  try {
    return { ...NOTHING, ...(JSON.parse(localStorage.getItem(placeOf(runId)) ?? '{}') as Partial<KeptRun>) };
  } catch {
    return NOTHING; // not written by us
  }
}

function keep(runId: string, kept: KeptRun): void {
  try {
    localStorage.setItem(placeOf(runId), JSON.stringify(kept));
  } catch {
    // No room: the outbox has it all the same, and only a reload without the server would miss it.
  }
}

export function keepEvent(runId: string, event: RunEventView): void {
  const kept = keptRun(runId);
  keep(runId, { ...kept, events: [...kept.events, event] });
}

/** A mark as it stands now; null when it was taken back. */
export function keepResult(runId: string, id: string, result: ResultView | null): void {
  const kept = keptRun(runId);
  keep(runId, { ...kept, results: { ...kept.results, [id]: result } });
}

export function keepPartners(runId: string, partners: readonly RoundPartners[]): void {
  keep(runId, { ...keptRun(runId), partners: partners as RunView['partners'] });
}

export function forgetRun(runId: string): void {
  localStorage.removeItem(placeOf(runId));
}

/** The run as the server reported it at some time, with what was done to it here since. */
export function withKept(run: RunView, { events, results, partners }: KeptRun = keptRun(run.id)): RunView {
  const known = new Set(run.events.map(({ id }) => id));
  const others = run.results.filter(({ id }) => !(id in results));
  const came = events.flatMap(({ kind, fighterId }) => (kind === 'comes' && fighterId ? [fighterId] : []));
  return {
    ...run,
    fighterIds: [...new Set([...run.fighterIds, ...came])],
    partners: partners ?? run.partners,
    events: [...run.events, ...events.filter(({ id }) => !known.has(id))],
    results: [...others, ...Object.values(results).flatMap((result) => result ?? [])],
  };
}

/** Keeps a run that was begun without the server where a reload finds it. */
export async function keepBegun(run: RunView, plan: RunPlanView): Promise<void> {
  if (!('caches' in window)) return;
  const cache = await caches.open(CACHE);
  const answer = (body: unknown): Response =>
    new Response(JSON.stringify(body), { headers: { 'content-type': 'application/json' } });
  await cache.put(`/api/runs/${run.id}`, answer(run));
  await cache.put(`/api/runs/${run.id}/plan`, answer(plan));
}
