import type { INestApplication } from '@nestjs/common';
import { ApiProperty, DocumentBuilder, SwaggerModule, type OpenAPIObject } from '@nestjs/swagger';
import type { Request, Response } from 'express';
import { tidyDocument } from './tidyDocument.ts';
import { gymFileSchema } from '../exchange/gymFile/gymFileSchema.ts';
import * as contract from '@eurhythm/contract';
import { BLOCK_SHAPES, GAP_CLASSES, TEMPO_SHAPE_CLASSES } from '@eurhythm/contract';
// The package keeps its storage out of its types; the JSON schema package needs it to follow nested classes.
// @ts-expect-error no declaration
import { defaultMetadataStorage } from 'class-transformer/cjs/storage.js';
import { validationMetadatasToSchemas } from 'class-validator-jsonschema';

/**
 * Describes every route at /api/docs; the shapes of bodies and answers come from the rules of the contract classes. It is worked out
 * when somebody asks for it.
 */
export function serveOpenApi(app: INestApplication): void {
  let made: OpenAPIObject | null = null;
  const document = (): OpenAPIObject => (made ??= documentOf(app));
  SwaggerModule.setup('api/docs', app, document);
  // Beside the file in which a gym is taken away stands what is in it.
  app
    .getHttpAdapter()
    .get(
      '/api/export.schema.json',
      (_request: Request, response: Response) => void response.json(gymFileSchema(document())),
    );
}

function documentOf(app: INestApplication): OpenAPIObject {
  const about = new DocumentBuilder()
    .setTitle('Eurhythm')
    .setDescription('Combinations, timed rounds and logs of a striking gym.')
    .setVersion('1')
    .setLicense('Not published', 'about:blank')
    .build();
  const schemas = contractSchemas();
  tellQueries(schemas);
  return tidyDocument(withContract(SwaggerModule.createDocument(app, about), schemas));
}

type Schemas = Record<string, Shape>;

/** The schema of every class of the contract, by its name. */
function contractSchemas(): Schemas {
  const schemas = validationMetadatasToSchemas({
    refPointerPrefix: '#/components/schemas/',
    classTransformerMetadataStorage: defaultMetadataStorage,
    additionalConverters: {
      // A day, as 2026-03-05; instants have a rule of their own.
      isIso8601: { type: 'string', format: 'date' },
      isInstant: { type: 'string', format: 'date-time' },
      isTextsByName: { type: 'object', additionalProperties: { type: 'string' } },
      // What may be left out is not required; what may be null says so.
      conditionalValidation: ({ context }) =>
        (context as { isNeverNull?: boolean } | undefined)?.isNeverNull ? {} : { nullable: true },
    },
  });
  return schemas as Schemas;
}

/** What may stand behind the question mark of a route follows from the same rules. */
function tellQueries(schemas: Schemas): void {
  for (const shape of Object.values<unknown>(contract)) {
    if (typeof shape !== 'function' || !shape.name.endsWith('Query')) continue;
    const { properties = {}, required = [] } = schemas[shape.name] ?? {};
    for (const [field, rule] of Object.entries(properties))
      ApiProperty({ ...rule, required: required.includes(field) })(shape.prototype as object, field);
  }
}

/** The document with these schemas. */
function withContract(document: OpenAPIObject, schemas: Schemas): OpenAPIObject {
  const all = { ...document.components?.schemas, ...schemas };
  document.components = {
    ...document.components,
    schemas: { ...withKinds({ ...all, ...namedKinds(all) }), ...UNIONS },
  };
  return document;
}

type Kinds = Readonly<Record<string, new () => object>>;

/** What is one of several shapes, known by its `kind`: the name of the union, of what all have in common, and the shapes. */
const UNION_SHAPES: readonly { name: string; base: string; shapes: Kinds }[] = [
  { name: 'AnyBlock', base: 'BlockDto', shapes: BLOCK_SHAPES },
  { name: 'AnyTempoShape', base: 'TempoShapeDto', shapes: TEMPO_SHAPE_CLASSES },
  { name: 'AnyGaps', base: 'GapsDto', shapes: GAP_CLASSES },
];

const refTo = (name: string): string => `#/components/schemas/${name}`;

const UNIONS = Object.fromEntries(
  UNION_SHAPES.map(({ name, shapes }) => {
    const refs = Object.entries(shapes).map(([kind, shape]) => [kind, refTo(shape.name)] as const);
    return [
      name,
      {
        oneOf: refs.map(([, $ref]) => ({ $ref })),
        discriminator: { propertyName: 'kind', mapping: Object.fromEntries(refs) },
      },
    ];
  }),
);

interface Shape {
  readonly properties?: Readonly<Record<string, object>>;
  readonly required?: string[];
}

/** Each shape of the unions with the kind that tells it; one without a field of its own has no schema until then. */
function namedKinds(schemas: Readonly<Record<string, Shape | object>>): object {
  return Object.fromEntries(
    UNION_SHAPES.flatMap(({ shapes }) =>
      Object.entries(shapes).map(([kind, { name }]) => {
        const { properties = {}, required = [] } = (schemas[name] ?? {}) as Shape;
        const own = { type: 'string', enum: [kind] };
        return [
          name,
          {
            type: 'object',
            properties: { ...properties, kind: own },
            required: [...new Set([...required, 'kind'])],
          },
        ];
      }),
    ),
  );
}

/** The schemas, each reference to what several kinds have in common being one to any of those kinds. */
function withKinds<T extends object>(schemas: T): T {
  const text = UNION_SHAPES.reduce(
    (all, { name, base }) => all.replaceAll(`"$ref":"${refTo(base)}"`, `"$ref":"${refTo(name)}"`),
    JSON.stringify(schemas),
  );
  return JSON.parse(text) as T;
}
