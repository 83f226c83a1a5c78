import { serverForThisFile } from './startedServer.ts';

const { call } = serverForThisFile();

/** What only the machine itself may do. */
const CLOSED = [
  'delete /api/demo',
  'delete /api/fighters/{id}',
  'get /api/backups',
  'get /api/backups/{name}',
  'get /api/export.json',
  'get /api/export/{table}.csv',
  'post /api/backups',
  'post /api/backups/{name}/restore',
  'post /api/import',
  'post /api/import/{table}.csv',
];

/** What anybody on the network may use, once the server is open to it. */
const FOR_ALL = [
  'get /api/door',
  'get /api/door/authority.crt',
  'get /api/health',
  'post /api/door/close',
  'post /api/door/open',
  'post /api/hall/join',
];

describe('who may use each route', () => {
  it('is reported for every one; those that say nothing are for this machine alone', async () => {
    const { paths } = (await call('GET', 'docs-json')).body;
    const routes = Object.entries<Record<string, any>>(paths).flatMap(([path, methods]) =>
      Object.entries(methods).map(
        ([method, operation]) => [`${method} ${path}`, operation['x-may']] as const,
      ),
    );
    expect(routes.length).toBeGreaterThan(60);
    expect(
      routes
        .filter(([, may]) => may === undefined)
        .map(([route]) => route)
        .sort(),
    ).toEqual(CLOSED);
    for (const [route, may] of routes)
      if (may !== undefined)
        expect([route, may]).toEqual([
          route,
          ['machine', 'coach', ...(FOR_ALL.includes(route) ? ['visitor'] : [])],
        ]);
  });
  it('lets this machine do everything', async () => {
    for (const path of ['export.json', 'backups', 'keeping', 'fighters'])
      expect([path, (await call('GET', path)).status]).toEqual([path, 200]);
  });
});
