import { BadRequestException } from '@nestjs/common';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { GYM_FILE_BYTES } from '@eurhythm/contract';
import express, { type NextFunction, type Request, type Response } from 'express';
import { isKeepable, isKeepableText } from './keepable.ts';
import { BODY_LIMIT, refusalOf } from './refusals.ts';

/** Reads JSON bodies; what cannot be read or kept is refused here, before any route sees it. */
export function readRequests(app: NestExpressApplication): void {
  // What is brought in from a file is read by whoever knows the file.
  app.use('/api/import', express.raw({ type: () => true, limit: GYM_FILE_BYTES }));
  app.use(express.json({ limit: BODY_LIMIT }));
  app.use((request: Request, _response: Response, next: NextFunction) => {
    if (!isAddress(request.path) || !isReadable(request.body))
      throw new BadRequestException({
        message: 'This request holds signs that no text has, or lists of what is no thing.',
      });
    next();
  });
  app.use((error: unknown, _request: Request, response: Response, _next: NextFunction) => {
    const { status, body } = refusalOf(error);
    response.status(status).json(body);
  });
}

function isAddress(path: string): boolean {
  try {
    return isKeepableText(decodeURIComponent(path));
  } catch {
    return false;
  }
}

/** The bytes of a file are looked into by whoever knows the file. */
function isReadable(body: unknown): boolean {
  return Buffer.isBuffer(body) || isKeepable(body);
}
