import * as transformer from 'class-transformer';
import * as validator from 'class-validator';
import { ArgumentsHost, Catch, ExceptionFilter, HttpException, Logger, ValidationPipe } from '@nestjs/common';
import { BadRequestException, UnprocessableEntityException } from '@nestjs/common';
import { breaksOnlyAcross, fieldErrors, type Refusal } from '@eurhythm/contract';
import type { Response } from 'express';
import { databaseFault, loggable } from '../store/open/databaseFaults.ts';

/** Largest request body that is read. */
export const BODY_LIMIT = '256kb';

/** Checks every body against its contract class; what is wrong comes back as one sentence for each field. */
export function contractPipe(): ValidationPipe {
  return new ValidationPipe({
    whitelist: true,
    forbidNonWhitelisted: true,
    transform: true,
    // The same ones that the contract's classes are written with.
    validatorPackage: validator,
    transformerPackage: transformer,
    exceptionFactory: (errors) => {
      const fields = fieldErrors(errors);
      const refusal: Refusal = {
        message: fields[0]?.message ?? 'This request cannot be read.',
        errors: fields,
      };
      // What breaks only a rule across fields can be read, but not done.
      return breaksOnlyAcross(errors)
        ? new UnprocessableEntityException(refusal)
        : new BadRequestException(refusal);
    },
  });
}

/** Turns every error into a plain sentence; what nobody foresaw is logged and reported as our own fault. */
@Catch()
export class RefusalFilter implements ExceptionFilter {
  private readonly log = new Logger('Request');

  catch(error: unknown, host: ArgumentsHost): void {
    const response = host.switchToHttp().getResponse<Response>();
    const { status, body } = refusalOf(error);
    // What was foreseen is reported in a line; only what nobody foresaw needs its place in the program.
    if (status === 500) this.log.error(loggable(error));
    else if (status > 500) this.log.warn(loggable(error).split('\n', 1)[0]);
    if (response.headersSent) return;
    // What the route would have said of its file does not hold for a sentence.
    for (const header of ['Content-Type', 'Content-Disposition', 'Cache-Control'])
      response.removeHeader(header);
    if (status === 503) response.setHeader('Retry-After', '2');
    response.status(status).json(body);
  }
}

/** What the framework and its readers of files say, as a sentence for whoever sent it. */
const FOREIGN: readonly (readonly [RegExp, string])[] = [
  [/^(Cannot [A-Z]+ \/|Not Found$)/, 'There is nothing here.'],
  [/^Forbidden$/, 'This may not be read.'],
  [/^Bad Request$/, 'This request cannot be read.'],
  [/^Too many files/, 'Send one file at a time.'],
  [/^Unexpected (field|file)/, 'This file stands in a field that is not read.'],
  [
    /^(Multipart: )?(Unexpected end of form|Malformed part)/,
    'This file was cut off on its way. Send it again.',
  ],
  [
    /^(Multipart: )?(Boundary not found|Unsupported content type|Missing Content-Type)/i,
    'The parts of this request cannot be told apart.',
  ],
  [/^(Too many (parts|fields)|Field (name|value) )/, 'This request has more parts than are read.'],
];
const FOREIGN_STATUS: Readonly<Record<number, string>> = {
  403: 'This may not be read.',
  404: 'There is nothing here.',
};

/** The sentence of a refusal, and the fields where it has some; nothing else that the framework adds. */
function plainBody(error: HttpException): object {
  const body = error.getResponse();
  if (typeof body === 'string') return { message: sentenceOf(body) };
  const { statusCode: _, error: __, message, ...rest } = body as Record<string, unknown>;
  return { message: typeof message === 'string' ? sentenceOf(message) : error.message, ...rest };
}

function sentenceOf(message: string): string {
  return FOREIGN.find(([says]) => says.test(message))?.[1] ?? message;
}

/** The status and the sentence for an error of any kind. */
export function refusalOf(error: unknown): { status: number; body: object } {
  if (error instanceof HttpException) {
    return { status: error.getStatus(), body: plainBody(error) };
  }
  const type = (error as { type?: string } | null)?.type;
  if (type === 'entity.too.large') {
    return { status: 413, body: { message: `This request is too large: ${BODY_LIMIT} is the most.` } };
  }
  if (type === 'entity.parse.failed')
    return { status: 400, body: { message: 'This request is not written in JSON.' } };
  if (typeof type === 'string' && /^(encoding|charset|request|entity)\./.test(type)) {
    return { status: 400, body: { message: 'This request cannot be read.' } };
  }
  // What reads bodies and files says by a status of its own whose fault it is.
  const status = (error as { status?: unknown } | null)?.status;
  if (typeof status === 'number' && status >= 400 && status < 500)
    return {
      status,
      body: { message: FOREIGN_STATUS[status] ?? 'This request cannot be read.' },
    };
  const fault = databaseFault(error);
  if (fault) return fault;
  return {
    status: 500,
    body: { message: 'Something went wrong on our side. Nothing was changed; try again.' },
  };
}
