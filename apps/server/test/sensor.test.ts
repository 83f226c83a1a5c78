import WebSocket from 'ws';
import { serverForThisFile } from './startedServer.ts';

const { base } = serverForThisFile();

/** A socket that is open, and all that it was reported. */
async function opened(path: string): Promise<{ socket: WebSocket; reported: any[] }> {
  const socket = new WebSocket(`${base().replace('http', 'ws')}/api/sensor/${path}`);
  const reported: any[] = [];
  socket.on('message', (data) => reported.push(JSON.parse(String(data))));
  await new Promise((done, fail) => socket.once('open', done).once('error', fail));
  return { socket, reported };
}

/** Sockets are taken a moment later than requests are. */
async function untilTaken(): Promise<void> {
  for (let tries = 0; tries < 100; tries++) {
    const there = await opened('hear').catch(() => null);
    if (there) return there.socket.close();
    await new Promise((done) => setTimeout(done, 100));
  }
}

async function until(is: () => boolean): Promise<void> {
  for (let i = 0; i < 100 && !is(); i++) await new Promise((done) => setTimeout(done, 30));
  expect(is()).toBe(true);
}

beforeAll(untilTaken);

describe('a strike sensor', () => {
  it('is heard by whoever listens, over plain WebSocket with open messages', async () => {
    const [sensor, listener] = [await opened('socket'), await opened('hear')];
    sensor.socket.send(JSON.stringify({ kind: 'hello', sensor: 'pad-7', session: 'x' }));
    sensor.socket.send(JSON.stringify({ kind: 'impact', sequence: 1, at: 3.5, force: 210 }));
    await until(() => listener.reported.length === 2);
    expect(listener.reported[1]).toMatchObject({ sensor: 'pad-7', message: { kind: 'impact', sequence: 1 } });
    const late = await opened('hear');
    await until(() => late.reported.length === 1);
    sensor.socket.close();
    await until(() => late.reported.at(-1).gone === true);
    listener.socket.close();
    late.socket.close();
  });
  it('that sends something else is reported what to send', async () => {
    const { socket, reported } = await opened('socket');
    socket.send('hello');
    await until(() => reported.length === 1);
    expect(reported[0]).toMatchObject({ kind: 'refused', message: expect.stringContaining('hello') });
    socket.close();
  });
  it('that sends too much at once is shut out', async () => {
    const { socket } = await opened('socket');
    const closed = new Promise((done) => socket.once('close', done));
    socket.on('error', () => {});
    socket.send('x'.repeat(5000));
    await closed;
  });
  it('comes in at no other address', async () => {
    await expect(opened('elsewhere')).rejects.toThrow();
  });
});
