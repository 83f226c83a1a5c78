import { request } from 'node:http';
import { gzipSync } from 'node:zlib';
import { refusalFor, namesOf } from '../dist/http/guard.js';
import { serverForThisFile } from './startedServer.ts';

const { base, call } = serverForThisFile();

interface Heard {
  readonly status: number;
  readonly headers: Readonly<Record<string, string | string[] | undefined>>;
  readonly text: string;
}

/** A request with headers that a browser would not let a page set. */
function ask(
  method: string,
  path: string,
  headers: Readonly<Record<string, string>>,
  body?: Buffer | string,
): Promise<Heard> {
  const { hostname, port } = new URL(base());
  return new Promise((done, fail) => {
    const sent = request({ method, path, hostname, port, headers, agent: false }, (answer) => {
      let text = '';
      answer.on('data', (data) => (text += data));
      answer.on('end', () => done({ status: answer.statusCode!, headers: answer.headers, text }));
    });
    sent.on('error', fail);
    sent.end(body);
  });
}
const message = ({ text }: Heard): string => JSON.parse(text).message;

describe('a request for another name', () => {
  it.each(['gym.example', 'gym.example:80', 'localhost.gym.example', '127.0.0.1', 'LOCALHOST.'])(
    '%s reads nothing and changes nothing',
    async (host) => {
      for (const path of ['/api/fighters', '/api/export.json', '/', '/api/docs-json']) {
        const heard = await ask('GET', path, { host });
        expect([path, heard.status]).toEqual([path, 403]);
        expect(message(heard)).toBe(
          'This server is not known by that name. Open it by the address that it printed.',
        );
      }
    },
  );
  it('is answered under each of its own names', async () => {
    const { port } = new URL(base());
    for (const host of [`127.0.0.1:${port}`, `localhost:${port}`, `LocalHost:${port}`, `[::1]:${port}`])
      expect([host, (await ask('GET', '/api/health', { host })).status]).toEqual([host, 200]);
  });
  it('knows the names that it was given, and every address of the machine when it is open to the network', () => {
    expect(
      namesOf({ host: '192.0.2.7', port: 80, securePort: null, names: ['Hall.local', 'door:8080'] }),
    ).toEqual(
      new Set([
        ...['localhost', '127.0.0.1'].flatMap((name) => [name, `${name}:80`]),
        '[::1]:80',
        ...['192.0.2.7', 'hall.local'].flatMap((name) => [name, `${name}:80`]),
        'door:8080',
      ]),
    );
    expect(namesOf({ host: '0.0.0.0', port: 4321, securePort: null, names: [] })).toContain('127.0.0.1:4321');
    expect(namesOf({ host: '192.0.2.7', port: 80, securePort: 81, names: [] })).toContain('192.0.2.7:81');
  });
});

describe('a page of another server', () => {
  const names = new Set(['localhost:4321']);
  const from = (method: string, headers: Record<string, string>) =>
    refusalFor({ method, headers: { host: 'localhost:4321', ...headers } }, names);
  it.each([
    [{ 'sec-fetch-site': 'cross-site' }],
    [{ 'sec-fetch-site': 'same-site' }],
    [{ origin: 'http://gym.example' }],
    [{ origin: 'null' }],
    [{ origin: 'http://localhost:9999', 'sec-fetch-site': 'same-site' }],
  ])('changes nothing: %j', (headers) => {
    for (const method of ['POST', 'PUT', 'DELETE', 'PATCH'])
      expect(from(method, headers)).toBe('Another page may not change anything here.');
    expect(from('GET', headers)).toBe('Another page may not read anything here.');
  });
  it('leads here by a link, and reads nothing by it', () => {
    const visit = { 'sec-fetch-site': 'cross-site', 'sec-fetch-mode': 'navigate' };
    expect(from('GET', visit)).toBeNull();
    expect(from('POST', visit)).toBe('Another page may not change anything here.');
    expect(from('GET', { ...visit, origin: 'http://gym.example' })).not.toBeNull();
  });
  it.each([
    [{}],
    [{ 'sec-fetch-site': 'same-origin', origin: 'http://localhost:4321' }],
    [{ 'sec-fetch-site': 'none' }],
    [{ origin: 'https://LOCALHOST:4321' }],
  ])('a page of this one, or no page at all, does: %j', (headers) =>
    expect(from('POST', headers)).toBeNull(),
  );

  it('sends no file either', async () => {
    const { host } = new URL(base());
    const part =
      '--x\r\ncontent-disposition: form-data; name="file"; filename="a.mid"\r\n\r\nMThd\r\n--x--\r\n';
    const heard = await ask(
      'POST',
      '/api/combos/rhythm',
      { host, origin: 'http://gym.example', 'content-type': 'multipart/form-data; boundary=x' },
      part,
    );
    expect([heard.status, message(heard)]).toEqual([403, 'Another page may not change anything here.']);
  });
});

describe('every answer', () => {
  it.each(['/', '/combos/ebb-1', '/api/health', '/api/docs', '/api/nothing'])(
    'to %s says what it may load, and nothing of who made it',
    async (path) => {
      const { host } = new URL(base());
      const { headers } = await ask('GET', path, { host });
      expect(headers['content-security-policy']).toMatch(/default-src 'self'.*frame-ancestors 'none'/);
      expect(headers['x-content-type-options']).toBe('nosniff');
      expect(headers['referrer-policy']).toBe('no-referrer');
      expect(headers['permissions-policy']).toContain('camera=()');
      expect(headers['x-powered-by']).toBeUndefined();
    },
  );
});

describe('what cannot be read', () => {
  const line = JSON.stringify({ line: '1 2', lead: 'left' });
  it.each([
    ['a broken packing', 'gzip', Buffer.from('not packed at all')],
    ['half a packing', 'gzip', gzipSync(line).subarray(0, 12)],
    ['a packing that is not known', 'compress', Buffer.from(line)],
    ['a packing of the wrong name', 'br', gzipSync(line)],
    ['two packings', 'gzip, gzip', gzipSync(line)],
  ])('%s gets a sentence', async (_, encoding, body) => {
    const { host } = new URL(base());
    const headers = { host, 'content-type': 'application/json', 'content-encoding': encoding };
    const heard = await ask('POST', '/api/combos/analyse', headers, body);
    expect(heard.status).toBeGreaterThanOrEqual(400);
    expect(heard.status).toBeLessThan(500);
    expect(message(heard)).toMatch(/^[A-Z].*\.$/);
  });
  it('a question asked twice gets one', async () => {
    const { body } = await call('GET', 'docs-json');
    const paths = Object.keys(body.paths).filter((path) => body.paths[path].get);
    for (const path of paths) {
      const there = path.replace('/api/', '').replace(/\{\w+\}/g, 'first-steps');
      for (const name of ['after', 'limit', 'round', 'voice', 'from', 'to', 'grade']) {
        const { status } = await call('GET', `${there}?${name}=a&${name}=b&${name}[x]=c`);
        expect([there, name, status >= 500]).toEqual([there, name, false]);
      }
    }
  });
  it('a year at the end of all years is kept or refused', async () => {
    const { body } = await call('GET', 'sessions/first-steps');
    const { title, lead, rounds } = body;
    for (const plannedFor of ['9999-12-31T23:59:59Z', '9999-12-31T23:59:59-14:00', '-001-01-01T00:00:00Z']) {
      const { status } = await call('PUT', 'sessions/last-class', { title, lead, rounds, plannedFor });
      expect([plannedFor, status >= 500]).toEqual([plannedFor, false]);
      for (const list of ['today', 'sessions', 'calendar', 'calendar.ics'])
        expect([list, (await call('GET', list)).status >= 500]).toEqual([list, false]);
    }
  });
});
