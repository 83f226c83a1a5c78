/** Runs that are begun for pictures of the Floor. */

/** Begins a run of a session with everybody of the gym but the first few. */
export async function startRun(page, base, id, session, first = 3) {
  const { items } = await (await page.request.get(`${base}/api/fighters`)).json();
  const fighterIds = items.slice(first).map((fighter) => fighter.id);
  const present = fighterIds.map((fighterId) => ({ fighterId, from: 0, until: null, ticked: [] }));
  await page.request.put(`${base}/api/sessions/${session}/sheet`, {
    data: { present, size: 2, rotations: 4 },
  });
  await page.request.put(`${base}/api/runs/${id}`, {
    data: { sessionId: session, fighterIds, startedAt: new Date().toISOString() },
  });
  return fighterIds;
}

let runs = 0;
/** The id of a run that nobody began before. */
export const newRunId = () => `shot-${(runs += 1)}`;
/** That of the run that was begun last. */
export const lastRunId = () => `shot-${runs}`;

/** The run stands at a second of one of its rounds, by the clock. */
export async function setClock(page, base, id, round, position) {
  await page.request.put(`${base}/api/runs/${id}/events/at-${round}-${position}`, {
    data: { kind: 'start', round, position, at: new Date().toISOString() },
  });
}

/** Takes a session to the Floor and to a second of one of its rounds. */
export async function floorAt(page, base, session, round, position, first = 3) {
  const id = newRunId();
  await startRun(page, base, id, session, first);
  await setClock(page, base, id, round, position);
  await page.goto(`${base}/floor/${id}`);
  await page.getByTestId('call').waitFor({ timeout: 60_000 });
  await page.keyboard.press('Shift');
  await page.waitForTimeout(1200);
}

/** The code of the run that was begun last. */
export async function codeOf(page, base) {
  return (await (await page.request.put(`${base}/api/runs/${lastRunId()}/hall`, { data: {} })).json()).code;
}

/** A device that joins that run, as one view of it. */
export async function joined(page, base, view) {
  await page.goto(`${base}/hall/${await codeOf(page, base)}/${view}`);
  await page.locator('main.mat').waitFor();
  await page.waitForTimeout(2500);
}
