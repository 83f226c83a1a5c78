/** Requests from the API document: right ones, spoilt ones, and such as no browser sends. Every one must get an answer in the usual shape. */
import { Agent, request } from 'node:http';
import { rightValue, spoilt } from './fromSchema.mjs';
import { seeded } from './seeded.mjs';

const AT_ONCE = 8;
/** Machines are slow and busy; what has no answer by then has none. */
const LONGEST_MS = 240_000;
/** Of a long answer no more is read. */
const ENOUGH_BYTES = 200_000;
/** What would take away the gym that the rest of the attack needs. */
const LEFT_OUT = ['delete /api/demo'];
const METHODS = ['TRACE', 'PATCH', 'OPTIONS', 'PROPFIND', 'HEAD'];
const PATHS = [
  '%00',
  '%zz',
  '..%2f..%2fetc%2fpasswd',
  'x'.repeat(4000),
  "a'--",
  '%F0%9F%A5%8A',
  '__proto__',
  'nobody',
];

/** Sends `count` requests; gives how many were answered how, and what was answered wrongly. */
export async function hostileRequests(app, count, seed) {
  const document = await (await fetch(`${app.base}/api/docs-json`)).json();
  const ids = await idsOf(app.base);
  const exported = await (await fetch(`${app.base}/api/export.json`)).json();
  const operations = Object.entries(document.paths).flatMap(([path, methods]) =>
    Object.entries(methods)
      .filter(([method]) => !LEFT_OUT.includes(`${method} ${path}`))
      .map(([method, operation]) => ({ path, method: method.toUpperCase(), operation })),
  );
  const agent = new Agent({ keepAlive: true, maxSockets: AT_ONCE });
  const port = Number(new URL(app.base).port);
  const tally = {};
  const faults = [];
  const took = [];
  let sent = 0;
  const worker = async (chances) => {
    while (sent < count && app.process.exitCode === null) {
      sent += 1;
      const wanted = hostile(chances.one(operations), { document, ids, exported }, chances, port);
      const from = performance.now();
      const answer = await ask(wanted, agent, port);
      took.push(performance.now() - from);
      const kind = answer.status === null ? 'no answer' : `${answer.status}`;
      tally[kind] = (tally[kind] ?? 0) + 1;
      const fault = faultOf(wanted, answer);
      if (fault) faults.push(`${wanted.method} ${wanted.path.slice(0, 120)}: ${fault}`);
    }
  };
  await Promise.all(Array.from({ length: AT_ONCE }, (_, i) => worker(seeded(seed * 1000 + i))));
  agent.destroy();
  if (app.process.exitCode !== null) faults.push(`the server ended with ${app.process.exitCode}`);
  took.sort((a, b) => a - b);
  return { sent, tally, faults, p99: took[Math.floor(took.length * 0.99)] };
}

async function idsOf(base) {
  const lists = ['fighters', 'sessions', 'combos', 'tests', 'library', 'runs'];
  const answers = await Promise.all(
    lists.map(async (list) => (await fetch(`${base}/api/${list}`)).json().then(({ items }) => items)),
  );
  const { grades = [] } = await (await fetch(`${base}/api/gym`)).json();
  return [...answers.flat(), ...grades].flatMap(({ id }) => (typeof id === 'string' ? id : []));
}

function hostile({ path, method, operation }, gym, chances, port) {
  const { document, ids, exported } = gym;
  const filled = path.replace(/\{(\w+)\}/g, () =>
    chances.chance(0.75)
      ? encodeURIComponent(chances.one(ids))
      : chances.chance(0.5)
        ? `new-${chances.whole(1, 40)}`
        : chances.one(PATHS),
  );
  const query = queryOf(operation, document, ids, chances);
  const [type] = Object.keys(operation.requestBody?.content ?? {});
  const body =
    path === '/api/import'
      ? jsonBody(spoilt(exported, chances), chances)
      : type && bodyOf(type, operation.requestBody.content[type].schema, document, ids, chances);
  const wanted = {
    // Few are taken out, so that others find what they name.
    method:
      method === 'DELETE' && chances.chance(0.9)
        ? 'GET'
        : chances.chance(0.02)
          ? chances.one(METHODS)
          : method,
    path: filled + query,
    headers: { ...(type ? { 'content-type': body.type } : {}), 'content-length': body?.bytes.length ?? 0 },
    bytes: body?.bytes ?? null,
    isForeign: false,
  };
  return chances.chance(0.12) ? twisted(wanted, chances, port) : wanted;
}

function queryOf({ parameters = [] }, document, ids, chances) {
  const queries = parameters.filter((each) => each.in === 'query');
  const parts = queries
    .filter(({ required }) => required || chances.chance(0.4))
    .flatMap(({ name, schema }) => {
      const value = rightValue(schema ?? { type: 'string' }, document, chances, ids);
      const given = chances.chance(0.25) ? spoilt(value, chances) : value;
      const part = `${name}=${encodeURIComponent(typeof given === 'string' ? given.replace(/[\ud800-\udfff]/g, '').slice(0, 2000) : String(JSON.stringify(given)).slice(0, 2000))}`;
      return chances.chance(0.1) ? [part, part, `${name}[a]=1`] : [part];
    });
  if (chances.chance(0.03)) parts.push('unknown=1', '%zz=%', 'a=1&a=2');
  return parts.length > 0 ? `?${parts.join('&')}` : '';
}

const FORM = '----attack';

function bodyOf(type, schema, document, ids, chances) {
  if (type === 'multipart/form-data') {
    const [field] = Object.keys(schema.properties ?? { file: 1 });
    const bytes = Buffer.from(Array.from({ length: chances.whole(0, 3000) }, () => chances.whole(0, 255)));
    const head = `--${FORM}\r\ncontent-disposition: form-data; name="${chances.chance(0.8) ? field : 'other'}"; filename="a"\r\n\r\n${chances.one(['RIFF', 'MThd\0\0\0\x06\0\0\0\x01\0\x01MTrk', ''])}`;
    const end = chances.chance(0.85) ? `\r\n--${FORM}--\r\n` : '';
    return {
      type: chances.chance(0.9) ? `${type}; boundary=${FORM}` : type,
      bytes: Buffer.concat([Buffer.from(head, 'latin1'), bytes, Buffer.from(end)]),
    };
  }
  if (type === 'text/csv')
    return {
      type,
      bytes: Buffer.from(chances.one(['name,grade\r\n"=1+1",Ebb', '"', 'a;b\n1', '\ufeffname\nA,B,C'])),
    };
  const value = rightValue(schema, document, chances, ids);
  const given = chances.chance(0.6) ? spoilt(value, chances) : value;
  return jsonBody(given, chances);
}

/** A value as JSON, now and then cut off. */
function jsonBody(value, chances) {
  const text = JSON.stringify(value) ?? '';
  return {
    type: 'application/json',
    bytes: Buffer.from(chances.chance(0.03) ? text.slice(0, -2) : text),
  };
}

/** What no page of the app sends: broken encodings, other hosts and origins, wrong lengths and kinds. */
function twisted(wanted, chances, port) {
  const also = (headers, isForeign = false) => ({
    ...wanted,
    headers: { ...wanted.headers, ...headers },
    isForeign,
  });
  switch (chances.whole(0, 7)) {
    case 0:
      return also({ 'content-encoding': chances.one(['gzip', 'br', 'deflate', 'nonsense']) });
    case 1:
      return also(
        { host: chances.one(['rebound.example', `rebound.example:${port}`, '169.254.169.254']) },
        true,
      );
    case 2:
      return also({ origin: 'http://elsewhere.example', 'sec-fetch-site': 'cross-site' }, true);
    case 3:
      return also({
        'content-type': chances.one(['text/plain', 'application/xml', 'application/json; charset=utf-7', '']),
      });
    case 4:
      return also({ 'x-many': 'y'.repeat(chances.one([100, 12_000])) });
    case 5:
      return also({
        'if-none-match': '*',
        range: 'bytes=5-2',
        'eurhythm-clock': chances.one(['soon', '9999-12-31T23:59:59Z', '1e99']),
      });
    case 6:
      return also({ accept: '../../x', 'accept-encoding': 'zzz', cookie: '='.repeat(500) });
    default:
      return {
        ...wanted,
        path: wanted.path.replace(
          '/api/',
          chances.one(['/api//', '/API/', '/api/./', '//api/', '/api/../api/']),
        ),
      };
  }
}

function ask({ method, path, headers, bytes }, agent, port) {
  return new Promise((done) => {
    const asked = request(
      { host: '127.0.0.1', port, method, path, headers, agent, timeout: LONGEST_MS },
      (response) => {
        const pieces = [];
        let length = 0;
        const end = () =>
          done({
            status: response.statusCode,
            type: response.headers['content-type'] ?? '',
            text: Buffer.concat(pieces).toString(),
          });
        response.on('data', (piece) => {
          pieces.push(piece);
          length += piece.length;
          if (length > ENOUGH_BYTES) response.destroy();
        });
        response.on('close', end);
      },
    );
    asked.on('timeout', () => asked.destroy(new Error('too late')));
    asked.on('error', (error) => done({ status: null, error: error.message, text: '', type: '' }));
    asked.end(bytes ?? undefined);
  });
}

/** What is wrong with an answer; null when all is well. */
function faultOf({ method, isForeign }, { status, text, type, error }) {
  if (status === null) return `no answer: ${error}`;
  if (status >= 500 && status !== 503) return `${status} ${text.slice(0, 200)}`;
  if (isForeign && status < 400) return `${status} to a stranger`;
  if (status < 400 || method === 'HEAD') return null;
  // Node itself answers what is not HTTP, or has headers that are too long.
  if (status === 431 || (status === 400 && text === '')) return null;
  if (!type.includes('json')) return `${status} that is not JSON: ${text.slice(0, 100)}`;
  const { message } = JSON.parse(text);
  return /^\P{Ll}.*[.?]$/su.test(message ?? '')
    ? null
    : `${status} without a sentence: ${text.slice(0, 200)}`;
}
