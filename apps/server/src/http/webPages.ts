import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { NestExpressApplication } from '@nestjs/platform-express';
import type { NextFunction, Request, Response } from 'express';
import sirv from 'sirv';

const PAGES = fileURLToPath(new URL('../../../web/dist', import.meta.url));
const YEAR_SECONDS = 31_536_000;
/** The packed forms that the build made of each file are sent to who takes them. */
const PACKED = { brotli: true, gzip: true } as const;

/** Serves the built application; every path that is no file and no API is the page itself. */
export function serveWebPages(app: NestExpressApplication): void {
  if (!existsSync(join(PAGES, 'index.html'))) return;
  const assets = sirv(join(PAGES, 'assets'), {
    ...PACKED,
    immutable: true,
    maxAge: YEAR_SECONDS,
    dotfiles: true,
  });
  const pages = sirv(PAGES, {
    ...PACKED,
    single: true,
    setHeaders: (response) => response.setHeader('Cache-Control', 'no-cache'),
  });
  app.use('/assets', assets);
  app.use((request: Request, response: Response, next: NextFunction) => {
    const isPage = ['GET', 'HEAD'].includes(request.method) && !/^\/(api|assets)(\/|$)/.test(request.path);
    if (isPage) pages(request, response, next);
    else next();
  });
}
