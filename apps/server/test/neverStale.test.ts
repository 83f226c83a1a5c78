import { format, subDays } from 'date-fns';
import { POSTGRES, databaseOfOwn, folderOfOwn, serverForThisFile, startServer } from './startedServer.ts';

const { call } = serverForThisFile();
const instant = (daysAgo: number): string => subDays(new Date(), daysAgo).toISOString();
const day = (daysAgo: number): string => format(subDays(new Date(), daysAgo), 'yyyy-MM-dd');
type Call = typeof call;

async function newFighter(ask: Call, id: string): Promise<void> {
  const fighter = { name: `New ${id}`, gradeId: 'ebb', lead: 'left', note: '', fit: true };
  expect((await ask('PUT', `fighters/${id}`, fighter)).status).toBe(200);
}

async function trial(ask: Call, id: string, said: number, daysAgo: number, lead = 'left'): Promise<void> {
  const fighterId = id.split('-')[0];
  const sent = { fighterId, testId: 'two-straights', lead, instants: [], said, measured: 'partner' };
  expect((await ask('PUT', `attempts/${id}`, { ...sent, at: instant(daysAgo) })).status).toBe(200);
}

/** The days and values of a fighter's trials, as the page of the progress has them. */
async function shown(ask: Call, id: string): Promise<Record<string, [string, number[]][]>> {
  const { courses } = (await ask('GET', `fighters/${id}/progress`)).body;
  return Object.fromEntries(
    courses.map(({ lead, days }: any) => [lead, days.map(({ day, values }: any) => [day, values])]),
  );
}

describe('progress that was looked at before', () => {
  beforeAll(async () => {
    await newFighter(call, 'fresh');
    await trial(call, 'fresh-1', 20, 9);
    await trial(call, 'fresh-2', 24, 2);
    expect(await shown(call, 'fresh')).toEqual({ left: [[day(9), [20]], [day(2), [24]]] }); // prettier-ignore
  });
  it('shows two numbers that were swapped', async () => {
    await trial(call, 'fresh-1', 24, 9);
    await trial(call, 'fresh-2', 20, 2);
    expect(await shown(call, 'fresh')).toEqual({ left: [[day(9), [24]], [day(2), [20]]] }); // prettier-ignore
  });
  it('shows the lead of a trial that was corrected', async () => {
    await trial(call, 'fresh-2', 20, 2, 'right');
    expect(await shown(call, 'fresh')).toEqual({ left: [[day(9), [24]]], right: [[day(2), [20]]] });
  });
  it('shows an older date', async () => {
    await trial(call, 'fresh-1', 24, 15);
    expect((await shown(call, 'fresh'))['left']).toEqual([[day(15), [24]]]);
  });
  it('shows nothing more of a trial that was taken out', async () => {
    await call('DELETE', 'attempts/fresh-1');
    expect(await shown(call, 'fresh')).toEqual({ right: [[day(2), [20]]] });
  });
});

(POSTGRES ? it : it.skip)('is seen on another server of the same database at once', async () => {
  const { url, drop } = await databaseOfOwn();
  const start = () => startServer(folderOfOwn(), { DATABASE_URL: url });
  const [one, other] = [await start(), await start()];
  await newFighter(one.call, 'fresh');
  await trial(one.call, 'fresh-1', 20, 9);
  for (const server of [one, other])
    expect(await shown(server.call, 'fresh')).toEqual({ left: [[day(9), [20]]] });
  await trial(one.call, 'fresh-1', 20, 9, 'right');
  for (const server of [other, one])
    expect(await shown(server.call, 'fresh')).toEqual({ right: [[day(9), [20]]] });
  for (const server of [one, other]) await server.stop();
  await drop();
});
