import { expect, test } from './test.ts';
import { OwnServer } from './ownServer.ts';

/** After one visit the application opens, runs the next class and takes marks with the server away. */
test.use({ serviceWorkers: 'allow' });

test('a planned session is begun, run, marked and reloaded without the server, which hears of all of it once', async ({
  page,
  context,
}) => {
  const server = new OwnServer(4383);
  await server.start();
  try {
    await page.request.put(`${server.base}/api/gym/notice`, { data: { accepted: true } });
    const { next } = await (await page.request.get(`${server.base}/api/today`)).json();
    const { plan } = await (
      await page.request.get(`${server.base}/api/sessions/${next.id}/beginning`, { timeout: 90_000 })
    ).json();
    await page.goto(`${server.base}/`);
    const kept = () =>
      page.evaluate(async () => {
        const of = async (name: string) => (await (await caches.open(name)).keys()).length;
        return { calls: await of('calls'), gym: await of('gym') };
      });
    await expect
      .poll(async () => (await kept()).calls, { timeout: 60_000 })
      .toBeGreaterThanOrEqual(plan.clips.length);
    await expect.poll(async () => (await kept()).gym).toBeGreaterThan(6);
    await server.kill();

    await page.goto(`${server.base}/floor`);
    await page.getByRole('button', { name: 'Take to the Floor' }).click();
    await expect(page.getByTestId('call')).toHaveText('ready when you are', { timeout: 60_000 });
    const runId = new URL(page.url()).pathname.split('/').at(-1)!;
    await page.keyboard.press(' ');
    await expect(page.getByTestId('call')).not.toHaveText('ready when you are');
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('s');
    const first = page.getByRole('list', { name: 'People' }).getByRole('button').first();
    await first.click();
    await expect(first).toContainText('sat out');

    // The tab is lost, and the device has no network at all.
    await context.setOffline(true);
    await page.reload();
    await expect(page.getByText(/Came back at \d+:\d\d of round 2\./)).toBeVisible({ timeout: 60_000 });
    await expect(first).toContainText('sat out');
    await context.setOffline(false);

    await server.start();
    await expect(page.getByText(/wait for the server/)).toBeHidden({ timeout: 60_000 });
    const reported = await (await page.request.get(`${server.base}/api/runs/${runId}`)).json();
    expect(reported.events.map(({ kind }: { kind: string }) => kind)).toEqual(['start', 'skip']);
    expect(reported.results).toHaveLength(1);
  } finally {
    await server.end();
  }
});
