import { BadRequestException } from '@nestjs/common';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { GYM_FILE_BYTES } from '@eurhythm/contract';
import express, { type NextFunction, type Request, type Response } from 'express';
import { BODY_LIMIT, refusalOf } from './refusals.ts';

/** Deepest nesting that is looked into; no shape of the contract comes near it. */
const DEEPEST = 100;

/** Reads JSON bodies; what cannot be read or kept is refused here, before any route sees it. */
export function readRequests(app: NestExpressApplication): void {
  // What is brought in from a file is read by whoever knows the file.
  app.use('/api/import', express.raw({ type: () => true, limit: GYM_FILE_BYTES }));
  app.use(express.json({ limit: BODY_LIMIT }));
  app.use((request: Request, _response: Response, next: NextFunction) => {
    if (!isAddress(request.path) || !isKeepable(request.body))
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
    return isKeepable(decodeURIComponent(path));
  } catch {
    return false;
  }
}

/**
 * Whether the database can hold it (no half characters, no zero characters) and its lists are lists of things: none of the
 * shapes of the contract has a list of lists, or a gap in a list.
 */
function isKeepable(body: unknown, depth = 0): boolean {
  if (typeof body === 'string') return !body.includes('\0') && !/\p{Surrogate}/u.test(body);
  if (typeof body !== 'object' || body === null || Buffer.isBuffer(body)) return true;
  if (depth > DEEPEST) return false;
  if (Array.isArray(body) && body.some((item) => item === null || Array.isArray(item))) return false;
  return Object.entries(body).every(
    ([key, inner]) => isKeepable(key, depth + 1) && isKeepable(inner, depth + 1),
  );
}
