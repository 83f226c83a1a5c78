import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { NestExpressApplication } from '@nestjs/platform-express';
import express, { type NextFunction, type Request, type Response } from 'express';

const PAGES = fileURLToPath(new URL('../../../web/dist', import.meta.url));

/** Serves the built application; every path that is no file and no API is the page itself. */
export function serveWebPages(app: NestExpressApplication): void {
  if (!existsSync(join(PAGES, 'index.html'))) return;
  app.use(
    '/assets',
    express.static(join(PAGES, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }),
  );
  app.use(express.static(PAGES, { index: false }));
  app.use((request: Request, response: Response, next: NextFunction) => {
    const isPage = request.method === 'GET' && !/^\/api(\/|$)/.test(request.path);
    if (isPage) response.sendFile(join(PAGES, 'index.html'), { headers: { 'Cache-Control': 'no-cache' } });
    else next();
  });
}
