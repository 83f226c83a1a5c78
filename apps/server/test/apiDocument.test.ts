import { createConfig, lintFromString } from '@redocly/openapi-core';
import { serverForThisFile } from './startedServer.ts';

const { call } = serverForThisFile();

describe('the API document', () => {
  it('has nothing that a linter objects to', async () => {
    const { body } = await call('GET', 'docs-json');
    const problems = await lintFromString({
      source: JSON.stringify(body),
      absoluteRef: 'api.json',
      config: await createConfig({ extends: ['recommended'] }),
    });
    expect(
      problems.map(({ ruleId, message, location }) => `${ruleId}: ${message} ${location[0]?.pointer}`),
    ).toEqual([]);
  });
  it('tells of every operation what comes, and what it is when it is refused', async () => {
    const { paths } = (await call('GET', 'docs-json')).body;
    for (const [path, methods] of Object.entries<Record<string, any>>(paths))
      for (const [method, { responses, summary }] of Object.entries(methods)) {
        const at = `${method} ${path}`;
        expect([at, summary]).toEqual([at, expect.any(String)]);
        const [, taken] = Object.entries<any>(responses).find(([status]) => /^2/.test(status)) ?? [];
        expect([at, taken !== undefined]).toEqual([at, true]);
        if (!('204' in responses)) expect([at, Object.keys(taken.content ?? {})]).not.toEqual([at, []]);
        expect([at, responses['4XX'].content['application/json'].schema]).toEqual([
          at,
          { $ref: '#/components/schemas/Refusal' },
        ]);
      }
  });
  it('tells what may stand behind the question mark', async () => {
    const { paths } = (await call('GET', 'docs-json')).body;
    const asked = (path: string, method: string): string[] =>
      paths[`/api/${path}`][method].parameters.flatMap((each: any) => (each.in === 'query' ? each.name : []));
    expect(asked('sessions', 'get')).toEqual(['after', 'limit']);
    expect(asked('voice/say', 'get')).toEqual(['text', 'voice', 'sound', 'rate']);
    expect(asked('sessions/{id}/audio.wav', 'get')).toEqual(['round', 'voice', 'sound']);
    expect(asked('fighters/{id}', 'delete')).toEqual(['sure']);
    const saves = Object.entries<any>(paths).flatMap(([path, { put }]) =>
      put?.parameters.some(({ name }: any) => name === 'basedOn') ? [path] : [],
    );
    expect(saves.length).toBeGreaterThan(12);
  });
});
