import type { APIRequestContext, Page } from '@playwright/test';
import type { RoundToPlay } from '@eurhythm/core/run';
import { dueStrikes } from '@eurhythm/core/strikes';
import { roundInRun } from './dueInRun.ts';

/** A combo round whose work ends after two minutes. */
const [ROUND, WORK_ENDS] = [1, 120];
/** Where half a minute of it is left. */
const LATE_IN_IT = 104;
/** How late the fighters of these stories strike, in seconds. */
const LATE = 0.03;

export interface Begun {
  readonly id: string;
  /** When each strike lands, in milliseconds since 1970, if it lands so late. */
  readonly landing: readonly number[];
}

/** What is heard: a round of a session, up to where its work ends. */
interface HeardRound {
  readonly sessionId: string;
  readonly round: number;
  readonly workEnds: number;
  /** What is struck at, in seconds of the round. */
  readonly dueIn: (round: RoundToPlay) => readonly { readonly at: number }[];
}
const COMBO_ROUND = {
  sessionId: 'knees-behind-the-cross',
  round: ROUND,
  workEnds: WORK_ENDS,
  dueIn: dueStrikes,
};

/** A run of these fighters, begun so that a round goes on in `inSeconds` from there on. */
export async function beginHeard(
  request: APIRequestContext,
  people: readonly string[],
  inSeconds: number,
  from = LATE_IN_IT,
  { sessionId, round, workEnds, dueIn }: HeardRound = COMBO_ROUND,
): Promise<Begun> {
  await request.put('/api/gym/notice', { data: { accepted: true } });
  const { items } = await (await request.get('/api/fighters')).json();
  const fighterIds = people.map((name) => items.find((each: { name: string }) => each.name === name).id);
  const id = `heard-${Math.random().toString(36).slice(2)}`;
  const data = { sessionId, fighterIds, startedAt: new Date().toISOString() };
  await request.put(`/api/runs/${id}`, { data });
  // It ran into this place already: pages that open it come where it stands by the clock.
  const zero = Date.now() + 1000 * inSeconds - 1000 * from;
  const position = from - inSeconds;
  await request.put(`/api/runs/${id}/events/at`, {
    data: { kind: 'start', round, position, at: new Date(zero + 1000 * position).toISOString() },
  });
  const due = dueIn(await roundInRun(request, id, round)).filter(({ at }) => at > position && at < workEnds);
  return { id, landing: due.map(({ at }) => zero + 1000 * (at + LATE)) };
}

/** What the sentence tells: landed, of so many, how late, and how many fell beside. */
export async function heardOf(
  page: Page,
  name: string,
): Promise<{ landed: number; of: number; late: number; beside: number }> {
  const text = await page
    .getByLabel('What landed')
    .locator('p', { hasText: new RegExp(`^${name} `) })
    .first()
    .textContent();
  const [, landed, of] = /(\d+) of (\d+) landed/.exec(text ?? '') ?? [];
  const [, ms, way] = /(\d+) ms (late|early)/.exec(text ?? '') ?? [];
  const [, beside = 0] = /(\d+) beside/.exec(text ?? '') ?? [];
  return {
    landed: Number(landed),
    of: Number(of),
    late: Number(ms ?? 0) * (way === 'early' ? -1 : 1),
    beside: Number(beside),
  };
}
