import { jest } from '@jest/globals';
import { chmodSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:http';
import { connect } from 'node:net';
import { join } from 'node:path';
import { spawn, spawnSync } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { folderOfOwn, runToEnd, startServer } from './startedServer.ts';
import { freePort } from '../../../scripts/freePort.mjs';

jest.setTimeout(300_000);

const folder = folderOfOwn;

describe('starting', () => {
  it('keeps everything over a restart, and gives the folder, which nobody else opens, free when it stops', async () => {
    const data = folder();
    const first = await startServer(data);
    await first.call('PUT', 'fighters/new-one', {
      name: 'Pavo Nkemelu',
      gradeId: 'ebb',
      lead: 'left',
      note: '',
      fit: true,
    });
    const { code, said } = await runToEnd({ EURHYTHM_DATA: data, PORT: String(await freePort()) });
    expect(code).toBe(1);
    expect(said.trim()).toMatch(
      /^The data folder .* is in use by process \d+\. Stop that one first, or choose another folder with EURHYTHM_DATA\.$/,
    );
    await first.stop();
    const second = await startServer(data);
    expect((await second.call('GET', 'fighters/new-one')).body.name).toBe('Pavo Nkemelu');
    expect((await second.call('GET', 'fighters')).body.items).toHaveLength(15);
    await second.stop();
    rmSync(data, { recursive: true });
  });

  it('ends once and cleanly, however often it is reported', async () => {
    const data = folder();
    const port = String(await freePort());
    const start = fileURLToPath(new URL('../../../scripts/start.mjs', import.meta.url));
    // In a group of its own, as a terminal starts it: each of the group hears Ctrl-C.
    const child = spawn(process.execPath, [start], {
      env: { ...process.env, EURHYTHM_DATA: data, PORT: port, EURHYTHM_BACKUP_AFTER: '3600' },
      detached: true,
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    let said = '';
    child.stderr.on('data', (text) => (said += text));
    await new Promise<void>((done) =>
      child.stdout.on('data', (text) => String(text).includes('Eurhythm is at') && done()),
    );
    const ended = new Promise<number | null>((done) => child.once('exit', (code) => done(code)));
    process.kill(-child.pid!, 'SIGINT');
    process.kill(-child.pid!, 'SIGINT');
    expect([await ended, said]).toEqual([0, '']);
    expect(readdirSync(data).filter((name) => name.includes('lock'))).toEqual([]);
    rmSync(data, { recursive: true });
  });

  it('answers what it is being asked when it is told to end, and waits for no next request on that connection', async () => {
    const server = await startServer();
    const { port } = new URL(server.base);
    const socket = connect(Number(port), '127.0.0.1');
    let said = '';
    const answered = new Promise<void>((done) => socket.on('data', (text) => ((said += text), done())));
    const gone = new Promise<void>((done) => socket.once('close', () => done()));
    const body = JSON.stringify({ accepted: true });
    const head = `PUT /api/gym/notice HTTP/1.1\r\nhost: 127.0.0.1:${port}\r\ncontent-type: application/json`;
    socket.write(`${head}\r\ncontent-length: ${body.length}\r\n\r\n${body.slice(0, 5)}`);
    await new Promise((done) => setTimeout(done, 200));
    const stopped = server.stop();
    await new Promise((done) => setTimeout(done, 200));
    socket.write(body.slice(5));
    await answered;
    expect(said).toMatch(/^HTTP\/1.1 200 /);
    // This end keeps it open; the server lets it go, and ends.
    await Promise.all([gone, stopped]);
  });

  it('says in one sentence that the port is in use', async () => {
    const other = createServer();
    const port = await freePort();
    await new Promise<void>((done) => other.listen(port, '127.0.0.1', done));
    const data = folder();
    const { code, said } = await runToEnd({ EURHYTHM_DATA: data, PORT: String(port) });
    other.close();
    expect([code, said.trim()]).toEqual([1, `Port ${port} is in use. Choose another with PORT.`]);
    rmSync(data, { recursive: true });
  });

  it('says in one sentence that Node is too old', () => {
    const pretend = "data:text/javascript,Object.defineProperty(process.versions,'node',{value:'18.20.0'})";
    const start = fileURLToPath(new URL('../../../scripts/start.mjs', import.meta.url));
    const { status, stderr } = spawnSync(process.execPath, ['--import', pretend, start], {
      encoding: 'utf8',
    });
    expect([status, stderr.trim()]).toEqual([1, 'Eurhythm needs Node 20.19 or newer; this is Node 18.20.0.']);
  });

  it.each([
    ['a port that is none', { PORT: 'many' }, 'PORT is a number from 1 to 65535, not “many”.'],
    ['a data folder that is a file', {}, 'cannot be made or written to. Choose another with EURHYTHM_DATA.'],
  ])('says in one sentence what is wrong with %s', async (_, env, sentence) => {
    const data = join(folder(), 'data');
    writeFileSync(data, 'a file');
    chmodSync(data, 0o400);
    const { code, said } = await runToEnd({ EURHYTHM_DATA: data, PORT: String(await freePort()), ...env });
    expect(code).toBe(1);
    expect(said.trim()).toContain(sentence);
    expect(said.trim().split('\n')).toHaveLength(1);
  });
});
