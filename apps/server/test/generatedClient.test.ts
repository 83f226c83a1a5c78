import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import openapi, { astToString } from 'openapi-typescript';
import ts from 'typescript';
import { serverForThisFile } from './startedServer.ts';

const { call } = serverForThisFile();

/** What somebody would write who knows the API by its document alone. */
const CLIENT = `
import type { components, paths } from './api.ts';

type Json<T> = T extends { content: { 'application/json': infer Body } } ? Body : never;
type Answer<Path extends keyof paths, Method extends keyof paths[Path]> = paths[Path][Method] extends {
  responses: { 200: infer Ok };
} ? Json<Ok> : never;

const combos: Answer<'/api/combos', 'get'> = {
  items: [],
};
const title: string = combos.items[0]!.title;
const bpm: number = combos.items[0]!.bpm;
const run = {} as Answer<'/api/runs/{id}', 'get'>;
const kinds: ('mark' | 'burst' | string)[] = run.events.map((event) => event.kind);
const plan = {} as Answer<'/api/runs/{id}/plan', 'get'>;
const seconds: number[] = plan.clips.map((clip) => clip.seconds);
const session: components['schemas']['SaveSessionDto'] = {
  title: 'Short',
  lead: 'left',
  plannedFor: null,
  rounds: [
    {
      id: 'r',
      title: 'R',
      kind: 'pads',
      blocks: [
        { kind: 'rest', id: 'b', seconds: 20 },
        { kind: 'breath', id: 'c', seconds: 60, title: 'Slow', inSeconds: 4, holdSeconds: 0, outSeconds: 6 },
      ],
    },
  ],
};
// @ts-expect-error a lead that there is not
const wrong: components['schemas']['SaveSessionDto'] = { ...session, lead: 'middle' };
export { bpm, kinds, plan, seconds, session, title, wrong };
`;

interface Operation {
  readonly requestBody?: { readonly content: Record<string, { readonly schema?: object }> };
  readonly responses: Record<string, { readonly content?: Record<string, { readonly schema?: object }> }>;
}

describe('the document of the API', () => {
  it('has a shape for every request and every answer', async () => {
    const { paths } = (await call('GET', 'docs-json')).body;
    const without = Object.entries<Record<string, Operation>>(paths).flatMap(([path, methods]) =>
      Object.entries(methods).flatMap(([method, { requestBody, responses }]) => {
        const good = Object.entries(responses).filter(([status]) => status.startsWith('2'));
        const isDocumented =
          good.length > 0 &&
          good.every(
            ([status, { content = {} }]) =>
              status === '204' ||
              (Object.keys(content).length > 0 && Object.values(content).every(({ schema }) => schema)),
          );
        const isAsked = !requestBody || Object.values(requestBody.content).every(({ schema }) => schema);
        return isDocumented && isAsked ? [] : [`${method} ${path}`];
      }),
    );
    expect(without).toEqual([]);
  });

  it('makes a client that type-checks', async () => {
    const document = (await call('GET', 'docs-json')).body;
    const folder = mkdtempSync(join(tmpdir(), 'eurhythm-client-'));
    writeFileSync(join(folder, 'api.ts'), astToString(await openapi(document)));
    writeFileSync(join(folder, 'client.ts'), CLIENT);
    const program = ts.createProgram([join(folder, 'client.ts')], {
      strict: true,
      noEmit: true,
      target: ts.ScriptTarget.ES2022,
      module: ts.ModuleKind.ESNext,
      moduleResolution: ts.ModuleResolutionKind.Bundler,
      allowImportingTsExtensions: true,
      types: [],
    });
    const reported = ts
      .getPreEmitDiagnostics(program)
      .map(
        ({ file, start, messageText }) =>
          `${file?.fileName.split('/').at(-1)} ${file && start !== undefined ? file.getLineAndCharacterOfPosition(start).line : ''}: ${ts.flattenDiagnosticMessageText(messageText, ' ')}`,
      );
    rmSync(folder, { recursive: true });
    expect(reported).toEqual([]);
  });
});
