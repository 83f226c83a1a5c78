import type { OpenAPIObject } from '@nestjs/swagger';

type Json = Readonly<Record<string, unknown>>;

/** What a route does, by its method, for a list of routes. */
const DOES: Readonly<Record<string, string>> = {
  get: 'Reads',
  put: 'Keeps',
  post: 'Asks for',
  delete: 'Takes out',
};

/** The document as other programs read it without objections: each route summed up, refusals reported, shapes written in one way only. */
export function tidyDocument(document: OpenAPIObject): OpenAPIObject {
  const paths = Object.fromEntries(
    Object.entries(document.paths).map(([path, methods]) => [
      path,
      Object.fromEntries(
        Object.entries(methods as Readonly<Record<string, Json>>).map(([method, operation]) => [
          method,
          tidyOperation(path, method, operation),
        ]),
      ),
    ]),
  );
  const tidy = withoutSiblings({ ...document, paths }) as OpenAPIObject;
  return {
    ...tidy,
    servers: [{ url: '/' }],
    // Nobody signs in: who may do what is known by where a request comes from.
    security: [],
    components: { ...tidy.components, schemas: usedSchemas(tidy) },
  };
}

function tidyOperation(path: string, method: string, operation: Json): Json {
  const responses = operation['responses'] as Json;
  const { default: refused } = responses;
  return {
    summary: `${DOES[method] ?? method} ${path.replace('/api/', '')}`,
    ...operation,
    responses: refused === undefined ? responses : { ...responses, '4XX': refused },
  };
}

/** A reference stands alone: what is said beside it is said around it. */
function withoutSiblings(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(withoutSiblings);
  if (typeof value !== 'object' || value === null) return value;
  const { $ref, type, ...rest } = value as Json;
  const plain = Object.fromEntries(Object.entries(rest).map(([key, inner]) => [key, withoutSiblings(inner)]));
  if (typeof $ref !== 'string') return type === undefined ? plain : { type: withoutSiblings(type), ...plain };
  if (Object.keys(plain).length === 0) return { $ref };
  return { ...('nullable' in plain ? { type: 'object' } : {}), allOf: [{ $ref }], ...plain };
}

/** The shapes that a route needs, directly or through others. */
function usedSchemas({
  paths,
  components,
}: OpenAPIObject): NonNullable<OpenAPIObject['components']>['schemas'] {
  const all = components?.schemas ?? {};
  const used = new Set<string>();
  const use = (text: string): void => {
    for (const [, name] of text.matchAll(/#\/components\/schemas\/(\w+)/g)) {
      if (used.has(name!)) continue;
      used.add(name!);
      use(JSON.stringify(all[name!] ?? {}));
    }
  };
  use(JSON.stringify(paths));
  return Object.fromEntries(Object.entries(all).filter(([name]) => used.has(name)));
}
