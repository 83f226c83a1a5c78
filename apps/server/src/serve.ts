import 'reflect-metadata';
import type { Server } from 'node:http';
import compression from 'compression';
import { NestFactory } from '@nestjs/core';
import { ExpressAdapter, type NestExpressApplication } from '@nestjs/platform-express';
import { AppModule } from './app.module.ts';
import { CannotStart } from './house/cannotStart.ts';
import { loggable } from './house/databaseFaults.ts';
import { guardRequests } from './house/guard.ts';
import { serveOpenApi } from './house/openApi.ts';
import { readRequests } from './house/readRequests.ts';
import { RefusalFilter, contractPipe } from './house/refusals.ts';
import { serveWebPages } from './house/webPages.ts';
import { SessionsService } from './sessions/sessions.service.ts';
import type { Store } from './store/store.ts';

/** Where the server is reached, and where what it keeps in files stands. */
export interface Place {
  readonly host: string;
  readonly port: number;
  /** Other names of this machine. */
  readonly names: readonly string[];
  readonly dataFolder: string;
}

/** Answers requests until the process is told to end. @throws CannotStart with a sentence */
export async function serve(store: Store, { host, port, names, dataFolder }: Place): Promise<void> {
  const app = await NestFactory.create<NestExpressApplication>(
    AppModule.over(store, dataFolder),
    new ExpressAdapter(),
    { logger: ['error', 'warn'], bodyParser: false },
  );
  guardRequests(app, { host, port, names });
  readRequests(app);
  app.use(compression());
  app.useGlobalPipes(contractPipe());
  app.useGlobalFilters(new RefusalFilter());
  serveOpenApi(app);
  serveWebPages(app);

  let isStopping = false;
  const stop = async (): Promise<void> => {
    // A terminal tells everybody, and whoever started this tells it again.
    if (isStopping) return;
    isStopping = true;
    await app.close();
    await store.close();
    process.exit(0);
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, () => void stop());
  await app.init();
  await listen(app.getHttpServer() as Server, port, host);
  process.stdout.write(`Eurhythm is at http://${host}:${port}\n`);
  app
    .get(SessionsService, { strict: false })
    .warmVoice()
    .catch((error: unknown) => {
      if (!isStopping) console.error('The voice could not be prepared ahead:', loggable(error));
    });
}

function listen(server: Server, port: number, host: string): Promise<void> {
  return new Promise((done, fail) => {
    // A page that is busy for some seconds finds its connection still open.
    server.keepAliveTimeout = 65_000;
    server.once('error', (error: NodeJS.ErrnoException) => fail(listenRefusal(error, port, host)));
    server.listen(port, host, done);
  });
}

function listenRefusal(error: NodeJS.ErrnoException, port: number, host: string): Error {
  switch (error.code) {
    case 'EADDRINUSE':
      return new CannotStart(`Port ${port} is in use. Choose another with PORT.`);
    case 'EACCES':
      return new CannotStart(`Port ${port} may not be used here. Choose another with PORT.`);
    case 'EADDRNOTAVAIL':
    case 'ENOTFOUND':
      return new CannotStart(`This machine has no address ${host}. Choose another with HOST.`);
    default:
      return error;
  }
}
