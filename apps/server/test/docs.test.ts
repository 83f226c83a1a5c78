import { existsSync, readFileSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { serverForThisFile } from './startedServer.ts';

/** What README and docs say in backticks of paths, commands, routes, settings and names of the code is there. */
const ROOT = fileURLToPath(new URL('../../../', import.meta.url));
const NOT_OURS = new Set(['node_modules', 'dist', 'dist-home', '.git', '.build', 'data', 'test-results']);

function* filesUnder(folder: string): Generator<string> {
  for (const name of readdirSync(join(ROOT, folder))) {
    const path = join(folder, name);
    if (NOT_OURS.has(name)) continue;
    if (statSync(join(ROOT, path)).isDirectory()) yield* filesUnder(path);
    else yield path;
  }
}

const FILES = [...filesUnder('.')];
const DOCS = ['README.md', ...FILES.filter((file) => /^docs\/[^/]+\.md$/.test(file))];
const CODE = FILES.filter((file) => /\.(ts|tsx|mjs|mts|cjs|sql|html)$|package\.json$|^\.[a-z]/.test(file))
  .map((file) => readFileSync(join(ROOT, file), 'utf8'))
  .join('\n');
const WORDS = new Set(CODE.match(/[A-Za-z_$][\w$]*/g));
const { scripts } = JSON.parse(readFileSync(join(ROOT, 'package.json'), 'utf8'));
/** Folders that a server makes where it runs, and packages of others. */
const ELSEWHERE = [/^\.\/data$/, /^backups\/$/, /^@/];

const spansOf = (doc: string): string[] => {
  const text = readFileSync(join(ROOT, doc), 'utf8').replace(/```[\s\S]*?```/g, '');
  return [...new Set([...text.matchAll(/`([^`\n]+)`/g)].map(([, span]) => span!))];
};

const isPath = (span: string): boolean =>
  /^[\w@./-]+$/.test(span) &&
  (/^[\w@.-]+(\/[\w@.-]+)+\/?$/.test(span) || /\.(ts|tsx|mjs|md|json|css|png)$/.test(span));
const isThere = (path: string): boolean => {
  const plain = path.replace(/\/$/, '');
  return existsSync(join(ROOT, plain)) || FILES.some((file) => file.endsWith(`/${plain}`));
};

describe.each(DOCS)('%s', (doc) => {
  it('names paths that are there', () => {
    const gone = spansOf(doc).filter(
      (span) => isPath(span) && !ELSEWHERE.some((other) => other.test(span)) && !isThere(span),
    );
    expect(gone).toEqual([]);
  });
  it('names commands that there are', () => {
    const gone = spansOf(doc).flatMap((span) => {
      const [, name] = /^npm (?:run )?([\w:-]+)/.exec(span) ?? [];
      return name === undefined || name === 'ci' || name in scripts ? [] : [span];
    });
    expect(gone).toEqual([]);
  });
  it('names settings and parts of the code that there are', () => {
    const named = spansOf(doc).flatMap((span) => /^([A-Za-z_$][\w$]*)(\(.*\)|=.*)?$/.exec(span)?.[1] ?? []);
    const gone = named.filter((name) => /[a-z][A-Z]|^[A-Z]/.test(name) && !WORDS.has(name));
    expect(gone).toEqual([]);
  });
});

/** What speaks by a socket is in no document of routes. */
const SOCKETS = /^\/api\/sensor\//;
const { call } = serverForThisFile('empty');

it('routes that README and docs name are answered', async () => {
  const { paths } = (await call('GET', 'docs-json')).body;
  const routes = Object.keys(paths).map((path) => path.replace(/\{\w+\}/g, ':id'));
  const named = DOCS.flatMap((doc) =>
    spansOf(doc).flatMap((span) => /^(?:(?:GET|PUT|POST|DELETE) )?(\/api\/[^\s?]+)/.exec(span)?.[1] ?? []),
  );
  const unlisted = named
    .map((path) => path.replace(/:\w+/g, ':id'))
    .filter((path) => !routes.includes(path) && !SOCKETS.test(path));
  const gone = [];
  for (const path of unlisted)
    if ((await call('GET', path.slice('/api/'.length))).status === 404) gone.push(path);
  expect(gone).toEqual([]);
});

describe('kinds of blocks', () => {
  const SOURCES = FILES.filter(
    (file) => /^(apps|packages)\/\w+\/src\/.*\.tsx?$/.test(file) && !/\.test\.tsx?$|\/kinds\//.test(file),
  );
  it('are told apart only where they are at home', () => {
    expect(SOURCES.length).toBeGreaterThan(500);
    const asking = SOURCES.filter((file) =>
      /\b(\w*[bB]lock|following)\??\.kind [!=]==|switch \(\w*[bB]lock\.kind\)/.test(
        readFileSync(join(ROOT, file), 'utf8'),
      ),
    );
    expect(asking).toEqual([]);
  });
});
