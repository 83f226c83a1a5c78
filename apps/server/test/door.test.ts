import { io, type Socket } from 'socket.io-client';
import { networkHosts } from '../src/auth/reach.ts';
import { processForThisFile } from './startedServer.ts';

// Open to the network, as `npm start -- --hall` opens it.
const { call, base } = processForThisFile({ HOST: '0.0.0.0' });
const PASSPHRASE = 'three grey herons';
/** Another address of this machine: the server sees who comes from there as somebody else. */
const [other] = networkHosts('0.0.0.0');

interface Said {
  readonly status: number;
  readonly headers: Headers;
  readonly body: any;
}

async function fromOutside(method: string, path: string, body?: unknown, cookie?: string): Promise<Said> {
  const { port } = new URL(base());
  const response = await fetch(`http://${other}:${port}${path}`, {
    method,
    redirect: 'manual',
    headers: {
      ...(body === undefined ? {} : { 'content-type': 'application/json' }),
      ...(cookie === undefined ? {} : { cookie }),
    },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  });
  const text = await response.text();
  const isJson = response.headers.get('content-type')?.includes('json') ?? false;
  return { status: response.status, headers: response.headers, body: isJson ? JSON.parse(text) : text };
}

const say = (passphrase: string) => fromOutside('POST', '/api/door/open', { passphrase });

/** A run of the demo with its code. */
async function runWithCode(id: string): Promise<string> {
  const { items } = (await call('GET', 'sessions')).body;
  const { body: fighters } = await call('GET', 'fighters');
  const fighterIds = fighters.items
    .filter((each: any) => each.fit)
    .map((each: any) => each.id)
    .slice(0, 4);
  const wish = { sessionId: items[0].id, fighterIds, startedAt: new Date().toISOString() };
  expect((await call('PUT', `runs/${id}`, wish)).status).toBe(200);
  return (await call('PUT', `runs/${id}/hall`, {})).body.code;
}

(other === undefined ? describe.skip : describe)('from another address', () => {
  it('every page leads to the door, and every route asks for the passphrase', async () => {
    for (const page of ['/', '/combos', '/floor/x', '/gym/devices']) {
      const { status, headers } = await fromOutside('GET', page);
      expect([page, status, headers.get('location')]).toEqual([
        page,
        303,
        `/door?to=${encodeURIComponent(page)}`,
      ]);
    }
    const { paths } = (await call('GET', 'docs-json')).body;
    const open: string[] = [];
    for (const [path, methods] of Object.entries<Record<string, unknown>>(paths))
      for (const method of Object.keys(methods)) {
        const { status } = await fromOutside(
          method.toUpperCase(),
          path.replaceAll(/[{}]/g, ''),
          method === 'get' ? undefined : {},
        );
        if (status !== 401) open.push(`${method} ${path}`);
      }
    expect(open.sort()).toEqual([
      'get /api/door',
      'get /api/door/authority.crt',
      'get /api/health',
      'post /api/door/close',
      'post /api/door/open',
      'post /api/hall/join',
    ]);
    for (const path of ['/api/docs', '/api/docs-json', '/api/export.schema.json', '/api/nothing'])
      expect([path, (await fromOutside('GET', path)).status]).toEqual([path, 401]);
    for (const page of ['/door', '/join', '/join/ACDEFH', '/hall/ACDEFH/wall', '/phone'])
      expect([page, (await fromOutside('GET', page)).status]).toEqual([page, 200]);
  });

  it('nobody sets a passphrase, and without one nobody comes in', async () => {
    expect((await fromOutside('PUT', '/api/door/passphrase', { passphrase: PASSPHRASE })).status).toBe(401);
    expect((await say(PASSPHRASE)).body.message).toMatch(/^No passphrase is set yet/);
  });

  it('who says it is a coach on that device, until there is a new one', async () => {
    expect((await call('PUT', 'door/passphrase', { passphrase: 'short' })).status).toBe(400);
    expect((await call('PUT', 'door/passphrase', { passphrase: PASSPHRASE })).status).toBe(204);
    const { status, headers } = await say(PASSPHRASE);
    const reported = headers.get('set-cookie') ?? '';
    expect([status, reported]).toEqual([204, expect.stringMatching(/HttpOnly.*SameSite=Strict/)]);
    const cookie = reported.split(';')[0]!;
    expect((await fromOutside('GET', '/api/fighters', undefined, cookie)).status).toBe(200);
    expect((await fromOutside('GET', '/', undefined, cookie)).status).toBe(200);
    // What is for the machine alone stays so.
    expect((await fromOutside('GET', '/api/export.json', undefined, cookie)).status).toBe(403);
    expect((await fromOutside('GET', '/api/door', undefined, cookie)).body.who).toBe('coach');
    expect((await call('PUT', 'door/passphrase', { passphrase: 'four white egrets' })).status).toBe(204);
    expect((await fromOutside('GET', '/api/fighters', undefined, cookie)).status).toBe(401);
  });

  it('a code gives its class and nothing else, and guessing one ends soon', async () => {
    const code = await runWithCode('run-of-the-hall');
    expect(code).toMatch(/^[A-Z]{6}$/);
    const { body } = await fromOutside('POST', '/api/hall/join', { code, view: 'wall' });
    expect(Object.keys(body).sort()).toEqual(
      ['events', 'fighters', 'lead', 'partners', 'plan', 'sessionId', 'title'].sort(),
    );
    for (const { name } of body.fighters) expect(name).toMatch(/^\S+( \S\.)?$/);
    const guess = () => fromOutside('POST', '/api/hall/join', { code: 'AAAAAA', view: 'wall' });
    const said = [];
    for (let i = 0; i < 12; i++) said.push((await guess()).status);
    expect(said.slice(0, 10)).toEqual(Array(10).fill(404));
    expect(said.at(-1)).toBe(429);
  });
});

describe('the devices of a class', () => {
  const sockets: Socket[] = [];
  const come = (auth: object): Promise<Socket> =>
    new Promise((done, fail) => {
      const socket = io(base(), {
        path: '/api/hall/socket',
        transports: ['websocket'],
        auth,
        reconnection: false,
        forceNew: true,
      });
      sockets.push(socket);
      // What is reported at once comes before anybody listens for it.
      socket.onAny((event, said) => inboxOf(socket).push([event, said]));
      socket.on('connect', () => done(socket));
      socket.on('connect_error', fail);
    });
  let isOver = false;
  const inboxes = new Map<Socket, [event: string, said: any][]>();
  const inboxOf = (socket: Socket): [event: string, said: any][] => {
    if (!inboxes.has(socket)) inboxes.set(socket, []);
    return inboxes.get(socket)!;
  };
  /** The next message of a kind that nobody has heard yet. */
  const heard = async (socket: Socket, event: string): Promise<any> => {
    while (!isOver) {
      const inbox = inboxOf(socket);
      const place = inbox.findIndex(([kind]) => kind === event);
      if (place !== -1) return inbox.splice(place, 1)[0]![1];
      await new Promise((done) => setTimeout(done, 10));
    }
  };
  afterAll(() => {
    isOver = true;
    sockets.forEach((socket) => socket.disconnect());
  });
  let code = '';
  const runId = 'run-with-devices';
  const event = (kind: string, more: object = {}) =>
    call('PUT', `runs/${runId}/events/${kind}-${Math.random().toString(36).slice(2)}`, {
      kind,
      at: new Date().toISOString(),
      ...more,
    });
  const pulse = { at: new Date().toISOString(), phase: 'running', round: 0, position: 3, counting: [] };

  it('hear what is done to the run and where it stands, also who comes later', async () => {
    code = await runWithCode(runId);
    const desk = await come({ runId, deskId: 'one' });
    const wall = await come({ code, view: 'wall' });
    const [reported] = await Promise.all([heard(wall, 'event'), event('start', { round: 0, position: 0 })]);
    expect(reported).toMatchObject({ kind: 'start', round: 0 });
    const [pulsed] = await Promise.all([heard(wall, 'pulse'), desk.emit('pulse', pulse)]);
    expect(pulsed).toEqual(pulse);
    const late = await come({ code, view: 'holder' });
    expect(await heard(late, 'pulse')).toEqual(pulse);
    expect(Math.abs((await wall.emitWithAck('clock')) - Date.now())).toBeLessThan(5000);
  });
  it('a remote is heard by the desk and reported what came of it; a wall only shows', async () => {
    const desk = sockets.find((each) => (each.auth as any).deskId === 'one')!;
    desk.on('wish', (wish, answer) => answer({ id: wish.id, isDone: true, message: `did ${wish.kind}` }));
    const remote = await come({ code, view: 'remote', name: 'helper' });
    const wish = { id: 'press-1', kind: 'hold' };
    expect(await remote.emitWithAck('wish', wish)).toEqual({
      id: 'press-1',
      isDone: true,
      message: 'did hold',
    });
    const wall = sockets.find((each) => (each.auth as any).view === 'wall')!;
    expect(await wall.emitWithAck('wish', wish)).toMatchObject({
      isDone: false,
      message: expect.stringContaining('only shows'),
    });
    const remotePulse = Promise.race([
      heard(wall, 'pulse').then(() => 'heard'),
      new Promise((done) => setTimeout(() => done('silence'), 300)),
    ]);
    remote.emit('pulse', pulse);
    expect(await remotePulse).toBe('silence');
    const refused = heard(remote, 'refused');
    remote.emit('wish', { id: 'press-2', kind: 'explode' });
    expect((await refused).message).toMatch(/what is asked/i);
  });
  it('a second desk waits until it takes over, and the first falls silent', async () => {
    const first = sockets.find((each) => (each.auth as any).deskId === 'one')!;
    const second = io(base(), {
      path: '/api/hall/socket',
      transports: ['websocket'],
      auth: { runId, deskId: 'two' },
      forceNew: true,
    });
    sockets.push(second);
    second.onAny((reported, said) => inboxOf(second).push([reported, said]));
    expect(await heard(second, 'desk')).toEqual({ isElsewhere: true });
    const [, taken] = await Promise.all([
      new Promise((done) => first.once('taken-over', () => done(true))),
      second.emitWithAck('take-over'),
    ]);
    expect(taken).toBe(true);
    const remote = sockets.find((each) => (each.auth as any).view === 'remote')!;
    second.on('wish', (wish, answer) => answer({ id: wish.id, isDone: true, message: 'by two' }));
    expect(await remote.emitWithAck('wish', { id: 'press-3', kind: 'next' })).toMatchObject({
      message: 'by two',
    });
  });
  it('a code ends with its run', async () => {
    await event('end');
    await expect(come({ code, view: 'wall' })).rejects.toThrow('No class has this code');
    expect((await call('PUT', `runs/${runId}/hall`, {})).status).toBe(404);
  });
});
