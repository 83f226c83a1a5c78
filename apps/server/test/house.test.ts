import { serverForThisFile } from './startedServer.ts';

const { call } = serverForThisFile();
describe('the house', () => {
  it('is well, and describes its routes', async () => {
    expect((await call('GET', 'health')).body).toEqual({ ok: true });
    const docs = await call('GET', 'docs-json');
    expect(Object.keys(docs.body.paths)).toContain('/api/combos/analyse');
    expect(docs.body.components.schemas.AnalyseComboDto.properties.line.type).toBe('string');
  });
  it('refuses a megabyte, text that is no JSON, and unknown fields, each with a sentence', async () => {
    const flood = await call('POST', 'combos/analyse', { line: '1 '.repeat(500_000), lead: 'left' });
    expect([flood.status, flood.body.message]).toEqual([
      413,
      'This request is too large: 256kb is the most.',
    ]);
    const garbled = await call('POST', 'combos/analyse', '{"line":');
    expect([garbled.status, garbled.body.message]).toEqual([400, 'This request is not written in JSON.']);
    const extra = await call('POST', 'combos/analyse', { line: '1', lead: 'left', sudo: true });
    expect([extra.status, extra.body.errors]).toEqual([
      400,
      [{ field: 'sudo', message: '`sudo` is not known here.' }],
    ]);
  });
  it('remembers that the notice was read, and when first', async () => {
    expect((await call('GET', 'gym')).body.noticeAcceptedAt).toBeNull();
    const first = await call('PUT', 'gym/notice', { accepted: true });
    const again = await call('PUT', 'gym/notice', { accepted: true });
    expect(again.body.noticeAcceptedAt).toBe(first.body.noticeAcceptedAt);
    expect((await call('PUT', 'gym/notice', { accepted: false })).status).toBe(400);
  });
  it('answers unknown API paths with 404 and pages with the page', async () => {
    expect((await call('GET', 'nothing')).status).toBe(404);
  });
});

describe('the demo gym', () => {
  it('has fourteen fighters over its grades, twelve combos and eight weeks of logs', async () => {
    expect((await call('GET', 'fighters')).body.items).toHaveLength(14);
    expect((await call('GET', 'combos')).body.items.length).toBeGreaterThanOrEqual(12);
    const { rounds, attempts, bursts } = (await call('GET', 'fighters/tomasz/log')).body;
    expect(rounds.length).toBeGreaterThan(40);
    const days = attempts.map((attempt: { at: string }) => Date.parse(attempt.at) / 86_400_000);
    expect(Math.max(...days) - Math.min(...days)).toBeGreaterThan(40);
    // the fighter who is much slower from one lead
    const median = (lead: string) =>
      bursts.find(
        (burst: { title: string; lead: string }) => burst.title === 'Two straights' && burst.lead === lead,
      ).median;
    expect(median('right') / median('left')).toBeLessThan(0.85);
  });
  it('answers what is next today', async () => {
    const { body } = await call('GET', 'today');
    expect(body.next.title).toBe('Knees behind the cross');
    expect(body.expected.length).toBe(14);
    expect(body.lastRun).not.toBeNull();
  });
});
