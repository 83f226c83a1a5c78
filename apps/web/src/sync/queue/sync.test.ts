import 'fake-indexeddb/auto';
import { jest } from '@jest/globals';
import fc from 'fast-check';
import { Refused } from '../../server/api.ts';
import { putRequest, waitingText } from './queuedWrite.ts';
import { SUBJECTS } from './subjects.ts';
import type { WriteRefused } from './Sync.ts';
import { HandBrowser, HandServer, freshDatabases, rest, type HandTab } from './testTabs.ts';

const mark = (address: string, body: unknown) => putRequest(SUBJECTS.mark, address, body);

let server: HandServer;
let browser: HandBrowser;
beforeEach(() => {
  // Waits between tries never end by themselves: the tests say when to try.
  jest.useFakeTimers({ doNotFake: ['setImmediate', 'queueMicrotask', 'nextTick', 'performance', 'Date'] });
  freshDatabases();
  server = new HandServer();
  browser = new HandBrowser(server);
});
afterEach(() => jest.useRealTimers());

describe('writing', () => {
  it('sends in order, and gives the answer to whoever waits for it', async () => {
    const tab = await browser.open();
    await tab.sync.put(mark('a', 1));
    const answer = await tab.sync.write(mark('b', 2));
    expect(answer).toEqual({ version: 1 });
    expect(server.got.map(({ address }) => address)).toEqual(['a', 'b']);
    await rest();
    expect(tab.sync.snapshot().waiting).toEqual([]);
  });

  it('begins to send before the write is kept, and sends it once', async () => {
    const tab = await browser.open();
    await rest();
    const kept = tab.sync.put(mark('a', 1));
    expect(server.mostOpen).toBe(1);
    await kept;
    await browser.settled();
    expect(server.got).toMatchObject([{ address: 'a', body: 1 }]);
    expect(tab.sync.snapshot().waiting).toEqual([]);
  });

  it('of two tabs while the server is away keeps both marks, over a reload of each', async () => {
    const [one, two] = [await browser.open(), await browser.open()];
    server.away = true;
    await one.sync.put(mark('run/results/m1', 'finished'));
    await two.sync.put(mark('run/results/m2', 'part'));
    one.close();
    two.close();
    const later = await browser.open();
    await rest();
    expect(waitingText(later.sync.snapshot().waiting)).toBe('2 marks wait for the server');
    server.away = false;
    await browser.settled();
    expect(server.got.map(({ body }) => body).sort()).toEqual(['finished', 'part']);
  });

  it('lets the newest state of an address win, and has one request for it at a time', async () => {
    const [one, two] = [await browser.open(), await browser.open()];
    server.away = true;
    for (let i = 0; i < 5; i++) await (i % 2 === 0 ? one : two).sync.put(mark('sheet', i));
    server.away = false;
    await browser.settled();
    expect(server.got.at(-1)).toMatchObject({ address: 'sheet', body: 4 });
    expect(server.mostOpen).toBe(1);
  });

  it('of which only the newest is sent tells those that gave way first, and the newest last', async () => {
    const tab = await browser.open();
    server.away = true;
    const heard: number[] = [];
    const all = [1, 2, 3].map((n) => tab.sync.write(mark('sheet', n)).then(() => heard.push(n)));
    await rest();
    server.away = false;
    await browser.settled();
    await Promise.all(all);
    expect(heard).toEqual([1, 2, 3]);
  });

  it('sends what a closed tab left, from any page that is open', async () => {
    const [first, second] = [await browser.open(), await browser.open()];
    server.away = true;
    await first.sync.put(mark('a', 1));
    await rest();
    first.close();
    server.away = false;
    await browser.settled();
    expect(server.got).toMatchObject([{ address: 'a', body: 1 }]);
    expect(second.sync.snapshot().waiting).toEqual([]);
  });

  it('goes on from the version that its own write came to, and not from that of another page', async () => {
    const [mine, theirs] = [await browser.open(), await browser.open()];
    const save = (tab: HandTab, body: string, basedOn: number) =>
      tab.sync.write(putRequest(SUBJECTS.combo, 'combos/c', body, { basedOn }));
    await Promise.all([save(mine, 'one', 0), rest().then(() => save(mine, 'two', 0))]);
    expect(server.got.map(({ basedOn }) => basedOn)).toEqual([0, 1]);
    const refused = await save(theirs, 'late', 0).catch((error: WriteRefused) => error);
    expect(refused).toMatchObject({ status: 409, now: { version: 2 } });
  });
});

describe('a write that is refused', () => {
  it('stands on the rejectedWrites with the sentence and what was written, in every tab, until it is put away', async () => {
    const [one, two] = [await browser.open(), await browser.open()];
    server.refuses = () => new Refused(422, { message: 'This fighter is not in the run.' });
    await one.sync.put(putRequest(SUBJECTS.mark, 'm', { done: 'part' }, { page: '/floor/r' }));
    await browser.settled();
    await rest();
    const [rejected] = two.sync.snapshot().rejected;
    expect(rejected).toMatchObject({
      refusal: { message: 'This fighter is not in the run.' },
      write: { body: { done: 'part' }, page: '/floor/r' },
    });
    await two.sync.unreject(rejected!.write.id);
    expect(two.sync.snapshot().rejected).toEqual([]);
  });
  it('does not hold up the others', async () => {
    const tab = await browser.open();
    server.refuses = (address) => (address === 'bad' ? new Refused(404, { message: 'Gone.' }) : null);
    await tab.sync.put(mark('bad', 1));
    await tab.sync.put(mark('good', 2));
    await browser.settled();
    expect(server.got.map(({ address }) => address)).toEqual(['good']);
  });
  it('gives way to what is written there anew', async () => {
    const tab = await browser.open();
    server.refuses = () => new Refused(422, { message: 'No.' });
    await tab.sync.put(mark('a', 1));
    await browser.settled();
    server.refuses = () => null;
    await tab.sync.put(mark('a', 2));
    await browser.settled();
    await rest();
    expect(tab.sync.snapshot().rejected).toEqual([]);
  });
});

describe('a device without room', () => {
  it('sends what it cannot keep, and says so while it waits', async () => {
    const tab = await browser.open();
    tab.store.add = () => Promise.reject(new DOMException('full', 'QuotaExceededError'));
    server.away = true;
    await tab.sync.put(mark('a', 1));
    await rest();
    expect(tab.sync.snapshot()).toMatchObject({ notKept: 1, waiting: [{ address: 'a' }] });
    server.away = false;
    tab.sync.tryNow();
    await rest();
    expect(server.got).toMatchObject([{ address: 'a', body: 1 }]);
    expect(tab.sync.snapshot().notKept).toBe(0);
  });
});

describe('a refused write that could not be kept', () => {
  it('stands on the rejectedWrites all the same', async () => {
    const tab = await browser.open();
    tab.store.add = () => Promise.reject(new DOMException('full', 'QuotaExceededError'));
    server.refuses = () => new Refused(422, { message: 'No.' });
    await tab.sync.put(mark('a', 1));
    await rest();
    const { rejected, notKept } = tab.sync.snapshot();
    expect([rejected.map(({ refusal }) => refusal.message), notKept]).toEqual([['No.'], 0]);
    await tab.sync.unreject(rejected[0]!.write.id);
    expect(tab.sync.snapshot().rejected).toEqual([]);
  });
});

describe('each acknowledged press', () => {
  const step = fc.oneof(
    { weight: 6, arbitrary: fc.record({ kind: fc.constant('press' as const), tab: fc.nat(2) }) },
    { weight: 3, arbitrary: fc.record({ kind: fc.constant('change' as const), tab: fc.nat(2) }) },
    { weight: 2, arbitrary: fc.record({ kind: fc.constant('server' as const), away: fc.boolean() }) },
    { weight: 2, arbitrary: fc.record({ kind: fc.constant('close' as const), tab: fc.nat(2) }) },
    { weight: 2, arbitrary: fc.record({ kind: fc.constant('rest' as const) }) },
  );

  it('arrives once and in its order, whatever tabs are closed and however long the server is away', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(step, { maxLength: 24 }), async (steps) => {
        freshDatabases();
        server = new HandServer();
        browser = new HandBrowser(server);
        const tabs = [await browser.open(), await browser.open(), await browser.open()];
        const pressed: number[] = [];
        let changed = -1;
        for (const [n, each] of steps.entries()) {
          if (each.kind === 'press') {
            await tabs[each.tab]!.sync.put(mark(`press/${n}`, n));
            pressed.push(n);
          } else if (each.kind === 'change') {
            await tabs[each.tab]!.sync.put(mark('state', n));
            changed = n;
          } else if (each.kind === 'server') server.away = each.away;
          else if (each.kind === 'rest') await rest();
          else {
            tabs[each.tab]!.close();
            tabs[each.tab] = await browser.open();
          }
        }
        server.away = false;
        await browser.settled();
        // A page that was closed in mid-request may have sent it already: the second time changes nothing.
        const bodies = (at: string) =>
          server.got.filter(({ address }) => address.startsWith(at)).map(({ body }) => body as number);
        expect([...new Set(bodies('press/'))]).toEqual(pressed);
        const states = [...new Set(bodies('state'))];
        expect(states).toEqual([...states].sort((a, b) => a - b));
        expect(bodies('state').at(-1) ?? -1).toBe(changed);
        expect(server.mostOpen).toBeLessThanOrEqual(2);
      }),
      { numRuns: 60 },
    );
  });
});
