import type { OpenAPIObject } from '@nestjs/swagger';

const SCHEMA = 'https://json-schema.org/draft/2020-12/schema';

/** The JSON Schema of the file in which a gym is taken away, from the API document, with every shape that it needs. */
export function gymFileSchema(document: OpenAPIObject): object {
  const shapes = document.components?.schemas ?? {};
  const needed = new Set<string>();
  const need = (name: string): void => {
    if (needed.has(name)) return;
    needed.add(name);
    for (const [, inner] of JSON.stringify(shapes[name] ?? {}).matchAll(/#\/components\/schemas\/(\w+)/g))
      need(inner!);
  };
  need('GymFile');
  const { GymFile, ...defs } = Object.fromEntries([...needed].map((name) => [name, shapes[name]]));
  const text = JSON.stringify({ $schema: SCHEMA, title: 'A gym, or a part of it', ...GymFile, $defs: defs });
  return plainSchema(JSON.parse(text.replaceAll('#/components/schemas/', '#/$defs/'))) as object;
}

/** JSON Schema says what may be null by a type of its own, and knows no discriminators. */
function plainSchema(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(plainSchema);
  if (typeof value !== 'object' || value === null) return value;
  const { nullable, discriminator: _, ...rest } = value as Record<string, unknown>;
  const plain = Object.fromEntries(Object.entries(rest).map(([key, inner]) => [key, plainSchema(inner)]));
  return nullable === true ? { anyOf: [plain, { type: 'null' }] } : plain;
}
