/**
 * Serves the gyms of the contract tests of one Jest worker, one after the other or beside each other, in one process: starting the
 * server's own process for each file took most of the tests' time. Each gym is a copy of a template, on a port of its own.
 *
 * host.mjs FOLDER OWNER: keeps all of it in FOLDER, writes the port it is asked on to FOLDER/port, and ends with the process OWNER.
 */
import { randomUUID } from 'node:crypto';
import { cpSync, mkdirSync, renameSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:http';
import { join } from 'node:path';
import pg from 'pg';
import { freePort } from '../../../../scripts/freePort.mjs';

const [, , FOLDER, OWNER] = process.argv;
const CLIPS = process.env['EURHYTHM_TEST_CLIPS'] ?? join(FOLDER, 'clips');
const POSTGRES = process.env['EURHYTHM_TEST_POSTGRES'];
const LOOK_MS = 500;
// No copies of the gym are made and nothing is prepared ahead while tests run.
Object.assign(process.env, { EURHYTHM_BACKUP_AFTER: '3600', EURHYTHM_WARM_AHEAD: '0' });

const { openOrExplain } = await import('../../dist/bundle/openOrExplain.js');
const { serve } = await import('../../dist/bundle/serve.js');

/** Ends with what it was started for, also where that was killed. */
setInterval(() => {
  try {
    process.kill(Number(OWNER), 0);
  } catch {
    rmSync(FOLDER, { recursive: true, force: true });
    process.exit(0);
  }
}, LOOK_MS);

async function administer(statement) {
  const client = new pg.Client({ connectionString: POSTGRES });
  await client.connect();
  await client.query(statement);
  await client.end();
}
const databaseUrl = (name) => POSTGRES.replace(/\/postgres$/, `/${name}`);

/** What a gym of a kind begins with, made once: the demo gym, or an empty one. */
const templates = new Map();
function templateOf(kind) {
  let made = templates.get(kind);
  if (!made) templates.set(kind, (made = makeTemplate(kind)));
  return made;
}

async function makeTemplate(kind) {
  const name = `template_${randomUUID().replaceAll('-', '')}`;
  const folder = join(FOLDER, name);
  mkdirSync(folder, { recursive: true });
  if (POSTGRES) await administer(`create database ${name}`);
  process.env['EURHYTHM_DEMO'] = kind === 'empty' ? '0' : '1';
  const store = await openOrExplain({ folder, url: POSTGRES && databaseUrl(name) });
  await store.close();
  return { name, folder };
}

/** A gym's data folder and, on PostgreSQL, its database; gives what removes both. */
async function copyOf(kind) {
  const { name, folder } = await templateOf(kind);
  const own = `test_${randomUUID().replaceAll('-', '')}`;
  const data = join(FOLDER, own);
  cpSync(folder, data, { recursive: true });
  mkdirSync(CLIPS, { recursive: true });
  rmSync(join(data, 'clips'), { recursive: true, force: true });
  symlinkSync(CLIPS, join(data, 'clips'));
  if (POSTGRES) await administer(`create database ${own} template ${name}`);
  return {
    data,
    url: POSTGRES && databaseUrl(own),
    remove: async () => {
      if (POSTGRES) await administer(`drop database if exists ${own} with (force)`);
      rmSync(data, { recursive: true, force: true });
    },
  };
}

const open = new Map();
const asked = {
  async open({ kind }) {
    const { data, url, remove } = await copyOf(kind);
    const port = await freePort();
    const store = await openOrExplain({ folder: data, url });
    const stop = await serve(store, {
      host: '127.0.0.1',
      port,
      names: [],
      dataFolder: data,
      certificates: null,
    });
    const base = `http://127.0.0.1:${port}`;
    open.set(base, async () => {
      await stop();
      await remove();
    });
    return { base };
  },
  async close({ base }) {
    const close = open.get(base);
    open.delete(base);
    await close();
    return {};
  },
};

const control = createServer((request, response) => {
  let body = '';
  request.on('data', (piece) => (body += piece));
  request.on('end', async () => {
    try {
      response.end(JSON.stringify(await asked[request.url.slice(1)](JSON.parse(body))));
    } catch (error) {
      response.writeHead(500).end(error instanceof Error ? error.stack : String(error));
    }
  });
});
control.listen(0, '127.0.0.1', () => {
  writeFileSync(join(FOLDER, 'port.new'), String(control.address().port));
  renameSync(join(FOLDER, 'port.new'), join(FOLDER, 'port'));
});
