import { homeCode, type DoneAtHome } from '@eurhythm/core/home';
import { serverForThisFile } from './startedServer.ts';

const { call, base } = serverForThisFile();

const done: DoneAtHome = {
  fighterId: 'ines',
  sessionId: 'three-groups',
  at: Date.UTC(2026, 5, 1, 17, 20),
  finished: 4,
  rounds: 5,
  effort: 6,
  bursts: [
    { lead: 'left', count: 41 },
    { lead: 'right', count: 38 },
  ],
};
const code = homeCode(done);
const page = (id: string, query: string): Promise<Response> =>
  fetch(`${base()}/api/sessions/${id}/home.html${query}`);
const sessionIn = (html: string): any =>
  JSON.parse(/<script type="application\/json" id="session">(.*?)<\/script>/s.exec(html)![1]!);

describe('a page for home', () => {
  it('holds the session, from the fighter’s own lead, and every call in it', async () => {
    const { items } = (await call('GET', 'fighters')).body;
    const left = items.find(({ lead, fit }: any) => fit && lead === 'left');
    const right = items.find(({ lead, fit }: any) => fit && lead === 'right');
    const leads = [];
    for (const { id, name } of [left, right]) {
      const answer = await page('knees-behind-the-cross', `?fighter=${id}`);
      const html = await answer.text();
      const held = sessionIn(html);
      leads.push(held.setting.lead);
      expect(answer.headers.get('content-disposition')).toContain('.html');
      expect(held.fighter.name).toBe(name);
      expect(held.cautions.length).toBeGreaterThan(3);
      expect(held.rounds.length).toBeGreaterThan(0);
      expect(html.match(/class="call"/g)!.length).toBeGreaterThan(10);
      // It asks nobody for anything.
      expect(html).toContain("default-src 'none'");
      expect(/<(?:script|link|img)[^>]*(?:src|href)=/.test(html)).toBe(false);
    }
    expect(leads).toEqual(['left', 'right']);
  }, 60_000);
  it('is for a fighter of the gym who is fit', async () => {
    expect((await call('GET', 'sessions/knees-behind-the-cross/home.html')).status).toBe(400);
    expect((await call('GET', 'sessions/knees-behind-the-cross/home.html?fighter=nobody')).status).toBe(404);
    expect((await call('GET', 'sessions/nothing/home.html?fighter=ines')).status).toBe(404);
    await call('PUT', 'fighters/ines/fit', { fit: false, reason: 'Sore knee', by: 'Ama' });
    const { status, body } = await call('GET', 'sessions/knees-behind-the-cross/home.html?fighter=ines');
    await call('PUT', 'fighters/ines/fit', { fit: true, reason: 'Well again', by: 'Ama' });
    expect([status, body.message]).toEqual([
      422,
      expect.stringContaining('is marked not fit to train; nothing is sent home'),
    ]);
  });
});

describe('a code from home', () => {
  it('is logged once, however often it is reported, and apart from what was seen', async () => {
    const before = (await call('GET', 'fighters/ines/log')).body;
    const first = await call('PUT', `fighters/ines/home/${code}`, {});
    const again = await call('PUT', `fighters/ines/home/${code.toLowerCase().replaceAll('-', '')}`, {});
    expect(first.status).toBe(200);
    expect(first.body).toMatchObject({
      id: code,
      sessionId: 'three-groups',
      finished: 4,
      rounds: 5,
      effort: 6,
      bursts: done.bursts,
      at: '2026-06-01T17:00:00.000Z',
    });
    expect(again.body).toEqual(first.body);
    const { home, bursts, rounds } = (await call('GET', 'fighters/ines/log')).body;
    expect(home).toEqual([first.body]);
    expect(rounds).toEqual(before.rounds);
    expect(bursts.filter((each: any) => !each.isSelfReported)).toEqual(before.bursts);
    expect(bursts.filter((each: any) => each.isSelfReported)).toMatchObject([
      { lead: 'left', best: 41, trials: 1 },
      { lead: 'right', best: 38, trials: 1 },
    ]);
  });
  it('never mixes what was reported with what was seen, also in one test', async () => {
    const { testId, title } = (await call('GET', 'fighters/ines/attempts')).body.items.find(
      ({ measured }: any) => measured !== 'self-reported',
    );
    const seen = async () =>
      (await call('GET', 'fighters/ines/log')).body.bursts.find(
        (each: any) => each.testId === testId && each.lead === 'left' && !each.isSelfReported,
      );
    const before = await seen();
    const reported = {
      fighterId: 'ines',
      testId,
      lead: 'left',
      instants: [],
      said: 199,
      measured: 'self-reported',
    };
    await call('PUT', 'attempts/told', { ...reported, at: new Date().toISOString() });
    expect(await seen()).toEqual(before);
    // Nor is it anybody's newest best.
    const { bests } = (await call('GET', 'today')).body;
    expect(JSON.stringify(bests ?? [])).not.toContain('199');
    expect(title).not.toBe('');
    await call('DELETE', 'attempts/told');
  });
  it('is somebody’s own, of a day that has been, and typed right', async () => {
    const refused = async (id: string, typed: string) => {
      const { status, body } = await call('PUT', `fighters/${id}/home/${typed}`, {});
      return [status, body.errors?.[0]?.message ?? body.message];
    };
    expect(await refused('radek', code)).toEqual([422, expect.stringContaining('made for somebody else')]);
    expect(await refused('ines', `${code.slice(0, -1)}${code.endsWith('A') ? 'B' : 'A'}`)).toEqual([
      422,
      expect.stringContaining('mistyped'),
    ]);
    const later = homeCode({ ...done, at: Date.now() + 3 * 86_400_000 });
    expect(await refused('ines', later)).toEqual([422, expect.stringContaining('still to come')]);
    expect((await call('PUT', `fighters/nobody/home/${code}`, {})).status).toBe(404);
  });
  it('of a session that is gone is logged all the same', async () => {
    const gone = homeCode({ ...done, sessionId: 'gone long ago', bursts: [] });
    const { body } = await call('PUT', `fighters/ines/home/${gone}`, {});
    expect(body).toMatchObject({ sessionId: null, title: 'A session that is not here any more', bursts: [] });
    expect((await call('DELETE', `fighters/ines/home/${gone}`)).status).toBe(204);
  });
  it('goes with the gym’s file, and with the person', async () => {
    const file = (await call('GET', 'export.json')).body;
    expect(file.homeReports).toHaveLength(1);
    const one = (await call('GET', 'export.json?fighter=ines')).body;
    expect(one.homeReports).toEqual(file.homeReports);
    expect(
      (await call('POST', 'import', file)).body.parts.filter(({ changed, added }: any) => changed + added),
    ).toEqual([]);
    expect((await call('DELETE', `fighters/ines/home/${code}`)).status).toBe(204);
    expect((await call('DELETE', `fighters/ines/home/${code}`)).status).toBe(404);
    expect(
      (await call('GET', 'fighters/ines/attempts')).body.items.some(({ id }: any) => id.startsWith('home-')),
    ).toBe(false);
    await call('POST', 'import', file);
    expect((await call('GET', 'fighters/ines/log')).body.home).toHaveLength(1);
    await call('DELETE', 'fighters/ines?sure=yes');
    const after = (await call('GET', 'export.json')).body;
    expect(JSON.stringify(after)).not.toContain('"ines"');
    expect(after.homeReports).toEqual([]);
  });
});
