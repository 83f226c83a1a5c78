import type { IncomingMessage } from 'node:http';
import { isIPv6 } from 'node:net';
import { networkInterfaces } from 'node:os';
import type { NestExpressApplication } from '@nestjs/platform-express';
import type { NextFunction, Request, Response } from 'express';
import { CLOCK_HEADER } from '@eurhythm/contract';
import helmet from 'helmet';

/** Everything a page needs comes from here; styles may be inline because editors and charts set them. */
const POLICY = {
  defaultSrc: ["'self'"],
  styleSrc: ["'self'", "'unsafe-inline'"],
  imgSrc: ["'self'", 'data:', 'blob:'],
  mediaSrc: ["'self'", 'blob:'],
  workerSrc: ["'self'", 'blob:'],
  scriptSrc: ["'self'"],
  objectSrc: ["'none'"],
  baseUri: ["'self'"],
  formAction: ["'self'"],
  frameAncestors: ["'none'"],
};

/** What a page of the gym may use of the device: its microphone, for own calls. */
const PERMISSIONS = 'microphone=(self), camera=(), geolocation=(), payment=(), usb=()';

/** Requests that change nothing. */
const READS = new Set(['GET', 'HEAD', 'OPTIONS']);

/** Where this server is reached, and the other names that it was given. */
export interface ServerNames {
  readonly host: string;
  readonly port: number;
  /** Of the secure way beside it, where there is one. */
  readonly securePort: number | null;
  /** Names under which others on the network know it, without a port or with one. */
  readonly names: readonly string[];
}

/**
 * Stands before every route: a request for another name is refused, so that no foreign page can read the gym through a name
 * that it points here; what a page asks for has to come from a page of this server. From no page at all, as programs do, and by
 * following a link, everything may be read.
 */
export function guardRequests(app: NestExpressApplication, server: ServerNames): void {
  app.disable('x-powered-by');
  app.use(
    helmet({
      contentSecurityPolicy: { useDefaults: false, directives: POLICY },
      referrerPolicy: { policy: 'no-referrer' },
      // The gym's own network has no certificates.
      strictTransportSecurity: false,
    }),
  );
  app.use((request: Request, response: Response, next: NextFunction) => {
    response.setHeader('Permissions-Policy', PERMISSIONS);
    response.setHeader(CLOCK_HEADER, new Date().toISOString());
    const refusal = refusalFor(request, namesOf(server));
    if (refusal === null) next();
    else response.status(403).json({ message: refusal });
  });
}

/** Why a request may not come in; null when it may. */
export function refusalFor(
  { method = 'GET', headers }: Pick<IncomingMessage, 'method' | 'headers'>,
  names: ReadonlySet<string>,
): string | null {
  const host = (headers.host ?? '').toLowerCase();
  if (!names.has(host))
    return 'This server is not known by that name. Open it by the address that it printed.';
  const { origin } = headers;
  const site = headers['sec-fetch-site'];
  const isForeignSite = site !== undefined && site !== 'same-origin' && site !== 'none';
  const isForeignOrigin =
    origin !== undefined && !names.has(origin.toLowerCase().replace(/^https?:\/\//, ''));
  if (!READS.has(method))
    return isForeignSite || isForeignOrigin ? 'Another page may not change anything here.' : null;
  // Whoever follows a link from elsewhere opens a page of the gym; nothing of it goes back to where he came from.
  const isVisit = headers['sec-fetch-mode'] === 'navigate';
  return isForeignOrigin || (isForeignSite && !isVisit) ? 'Another page may not read anything here.' : null;
}

/** Every way to write the address of this server, with its port. */
export function namesOf({ host, port, securePort, names }: ServerNames): ReadonlySet<string> {
  const isEverywhere = host === '0.0.0.0' || host === '::';
  const addresses = isEverywhere
    ? Object.values(networkInterfaces()).flatMap((all) => (all ?? []).map(({ address }) => address))
    : [host];
  const known = ['localhost', '127.0.0.1', '::1', ...addresses, ...names].map((name) => name.toLowerCase());
  const ports = securePort === null ? [port] : [port, securePort];
  return new Set(known.flatMap((name) => ports.flatMap((each) => writtenWith(name, each))));
}

/** A name with the port; one that brings its own keeps it, and an address of the newer kind stands in brackets. */
function writtenWith(name: string, port: number): string[] {
  if (isIPv6(name)) return [`[${name}]:${port}`];
  if (/:\d+$/.test(name)) return [name];
  // A browser leaves out the ports that everybody knows.
  return port === 80 || port === 443 ? [name, `${name}:${port}`] : [`${name}:${port}`];
}
