import { expect, type Page } from '@playwright/test';

/** The time to get ready before the first round is over, for a run that is open on the Floor. */
export async function whenReadyIsOver(page: Page): Promise<void> {
  const runId = new URL(page.url()).pathname.split('/').at(-1);
  const data = { kind: 'start', round: 0, position: 15, at: new Date().toISOString() };
  expect((await page.request.put(`/api/runs/${runId}/events/begun`, { data })).ok()).toBe(true);
  await page.reload();
}

/** A class of these people, begun and open on the Floor. */
export async function takeToTheFloor(
  page: Page,
  people: readonly string[],
  sessionId = 'knees-behind-the-cross',
): Promise<void> {
  await page.request.put('/api/gym/notice', { data: { accepted: true } });
  const { items: fighters } = await (await page.request.get('/api/fighters')).json();
  const fighterIds = people.map((name) => fighters.find((each: { name: string }) => each.name === name).id);
  const id = `floor-${Math.random().toString(36).slice(2)}`;
  const answer = await page.request.put(`/api/runs/${id}`, {
    data: { sessionId, fighterIds, startedAt: new Date().toISOString() },
  });
  expect(await answer.text()).toContain(id);
  await page.goto(`/floor/${id}`);
  await expect(page.getByTestId('call')).toHaveText('ready when you are', { timeout: 90_000 });
}
