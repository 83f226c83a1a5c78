import { StreamableFile, applyDecorators } from '@nestjs/common';
import { ApiDefaultResponse, ApiNoContentResponse, ApiOkResponse } from '@nestjs/swagger';
import { Refusal } from '@eurhythm/contract';

type Shape = new () => object;

/** Where the API document keeps the shape of a contract class. */
export const refTo = (shape: Shape): { $ref: string } => ({ $ref: `#/components/schemas/${shape.name}` });

/** Everything that is not done comes back as one sentence. */
const refusals = (): MethodDecorator =>
  ApiDefaultResponse({ description: 'Refused, with a sentence.', schema: refTo(Refusal) });

function answersSchema(schema: object): MethodDecorator {
  return applyDecorators(ApiOkResponse({ schema }), refusals());
}

/** What a route answers, for the API document. */
export const answers = (shape: Shape): MethodDecorator => answersSchema(refTo(shape));

/** A route that answers one of two shapes. */
export const answersEither = (one: Shape, other: Shape): MethodDecorator =>
  answersSchema({ oneOf: [refTo(one), refTo(other)] });

/** A whole list. */
export const answersList = (shape: Shape): MethodDecorator =>
  answersSchema({
    type: 'object',
    required: ['items'],
    properties: { items: { type: 'array', items: refTo(shape) } },
  });

/** Things by their ids. */
export const answersById = (schema: object): MethodDecorator =>
  answersSchema({ type: 'object', additionalProperties: schema });

/** Things in lists by the ids that they belong to. */
export const answersListsById = (shape: Shape): MethodDecorator =>
  answersById({ type: 'array', items: refTo(shape) });

/** A route that has nothing to say when it is done. */
export const answersNothing = (): MethodDecorator => applyDecorators(ApiNoContentResponse(), refusals());

/** A file of some type. */
export const answersFile = (type: string): MethodDecorator =>
  applyDecorators(
    ApiOkResponse({ content: { [type]: { schema: { type: 'string', format: 'binary' } } } }),
    refusals(),
  );

/** The body of a request that brings one file. */
export const fileField = (name: string) => ({
  type: 'object' as const,
  required: [name],
  properties: { [name]: { type: 'string' as const, format: 'binary' } },
});

/** An answer that is JSON already. */
export const jsonBytes = (bytes: Uint8Array): StreamableFile =>
  new StreamableFile(bytes, { type: 'application/json; charset=utf-8', length: bytes.length });
