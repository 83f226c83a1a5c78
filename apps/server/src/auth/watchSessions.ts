import type { NestExpressApplication } from '@nestjs/platform-express';
import { parse } from 'cookie';
import type { NextFunction, Request, Response } from 'express';
import type { IncomingMessage } from 'node:http';
import { isOpenPage } from '@eurhythm/contract';
import { SAY_PASSPHRASE, setWho, whoAsks, type Who } from './allowRoles.ts';
import { databaseFault } from '../store/open/databaseFaults.ts';
import { isLoopback } from '../http/loopback.ts';
import { AuthService } from './auth.service.ts';

/** Where a device keeps the key of who has said the passphrase on it. */
export const KEY_COOKIE = 'eurhythm_key';

/** Files of the application, which hold nothing of the gym. */
const FILES = /^\/(assets\/|[^/]+\.\w+$)/;
/** Routes that ask for no passphrase: whether the server is there, the door itself, and joining a class by its code. */
const OPEN_ROUTES = /^\/api\/(health|door|hall)(\/|$)/;

/** Who makes a request, over whatever way it comes. */
export async function whoIs(request: IncomingMessage, door: AuthService): Promise<Who> {
  if (isLoopback(request.socket.remoteAddress)) return 'machine';
  const key = parse(request.headers.cookie ?? '')[KEY_COOKIE];
  return (await door.isOpenFor(key)) ? 'coach' : 'visitor';
}

/** Stands behind the guard of names and before everything else: writes down who asks, and sends visitors to the door. */
export function watchSessions(app: NestExpressApplication): void {
  const door = app.get(AuthService, { strict: false });
  app.use(async (request: Request, response: Response, next: NextFunction) => {
    if (FILES.test(request.path)) return next();
    try {
      setWho(request, await whoIs(request, door));
    } catch (error) {
      const { status, body } = databaseFault(error) ?? AWAY;
      return void response.status(status).json(body);
    }
    if (whoAsks(request) !== 'visitor' || isOpenPage(request.path) || OPEN_ROUTES.test(request.path))
      return next();
    if (request.path.startsWith('/api')) return void response.status(401).json({ message: SAY_PASSPHRASE });
    response.redirect(303, `/door?to=${encodeURIComponent(request.originalUrl)}`);
  });
}

const AWAY = { status: 503, body: { message: 'The door cannot be looked at for a moment. Try again.' } };
