import type { INestApplication } from '@nestjs/common';
import { DocumentBuilder, SwaggerModule } from '@nestjs/swagger';
// The package keeps its storage out of its types; the JSON schema package needs it to follow nested classes.
// @ts-expect-error no declaration
import { defaultMetadataStorage } from 'class-transformer/cjs/storage.js';
import { validationMetadatasToSchemas } from 'class-validator-jsonschema';

/** Describes every route at /api/docs; the shapes of bodies come from the rules of the contract classes. */
export function serveOpenApi(app: INestApplication): void {
  const about = new DocumentBuilder()
    .setTitle('Eurhythm')
    .setDescription('Combinations, timed rounds and logs of a striking gym.')
    .setVersion('1')
    .build();
  const document = SwaggerModule.createDocument(app, about);
  const schemas = validationMetadatasToSchemas({
    refPointerPrefix: '#/components/schemas/',
    classTransformerMetadataStorage: defaultMetadataStorage,
  });
  document.components = {
    ...document.components,
    schemas: { ...document.components?.schemas, ...(schemas as object) },
  };
  SwaggerModule.setup('api/docs', app, document);
}
