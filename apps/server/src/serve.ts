import 'reflect-metadata';
import type { IncomingMessage, RequestListener, Server } from 'node:http';
import { createServer } from 'node:https';
import compression from 'compression';
import { NestFactory } from '@nestjs/core';
import { ExpressAdapter, type NestExpressApplication } from '@nestjs/platform-express';
import { AppModule } from './app.module.ts';
import type { Certificates } from './auth/certificates.ts';
import { addressesOf, reachOf, securePortOf, type Reach } from './auth/reach.ts';
import { watchSessions } from './auth/watchSessions.ts';
import { CannotStart } from './process/cannotStart.ts';
import { guardRequests, namesOf, refusalFor } from './http/guard.ts';
import { closed, lastAnswers } from './http/lastAnswers.ts';
import { serveOpenApi } from './http/openApi.ts';
import { readRequests } from './http/readRequests.ts';
import { RefusalFilter, contractPipe } from './http/refusals.ts';
import { serveWebPages } from './http/webPages.ts';
import type { Store } from './store/store.ts';
import { warmAhead } from './warmAhead.ts';

/** Where the server is reached, and where what it keeps in files stands. */
export interface Place {
  readonly host: string;
  readonly port: number;
  /** Other names of this machine. */
  readonly names: readonly string[];
  readonly dataFolder: string;
  /** Of a server that is open to the network. */
  readonly certificates: Certificates | null;
}

/** Answers requests until it is told to stop. @returns what stops it, and closes the store. @throws CannotStart with a sentence */
export async function serve(store: Store, place: Place): Promise<() => Promise<void>> {
  const { host, port, dataFolder, certificates } = place;
  const reach = reachOf(place, certificates);
  const app = await NestFactory.create<NestExpressApplication>(
    AppModule.over(store, dataFolder, reach),
    new ExpressAdapter(),
    { logger: ['error', 'warn'], bodyParser: false },
  );
  guardRequests(app, reach);
  watchSessions(app);
  readRequests(app);
  app.use(compression());
  app.useGlobalPipes(contractPipe());
  app.useGlobalFilters(new RefusalFilter());
  serveOpenApi(app);
  serveWebPages(app);

  const mayCome = (request: IncomingMessage): boolean => refusalFor(request, namesOf(reach)) === null;
  const secure =
    certificates &&
    createServer(
      { cert: certificates.certificate, key: certificates.key },
      app.getHttpAdapter().getInstance() as RequestListener,
    );

  const plain = app.getHttpServer() as Server;
  let hall: Promise<() => Promise<void>> = Promise.resolve(() => Promise.resolve());
  let closeSensors = (): void => {};
  let isStopping = false;
  const stop = async (): Promise<void> => {
    isStopping = true;
    // What is being worked out is dropped at once; the sockets would wait for it.
    closeSensors();
    // A hall that is being opened is closed once it is open.
    const ends = [app.close(), hall.then((close) => close()), ...(secure ? [closed(secure)] : [])];
    await lastAnswers([plain, ...(secure ? [secure] : [])], Promise.all(ends));
    await store.close();
  };
  withoutSockets(app);
  await app.init();
  await listen(plain, port, host);
  if (secure) await listen(secure, securePortOf(port), host);
  process.stdout.write(greeting(reach));
  hall = import('./hall/openHall.ts').then(({ openHall }) =>
    openHall(app, { plain, secure, shared: store.shared, mayCome }),
  );
  await hall;
  closeSensors = (await import('./sensor/openSensors.ts')).openSensors(app, { plain, secure, mayCome });
  if (process.env['EURHYTHM_WARM_AHEAD'] !== '0') void warmAhead(app, () => isStopping);
  return stop;
}

/** Keeps the framework from reading its sockets at the start: the hall is opened once the server listens. */
function withoutSockets(app: NestExpressApplication): void {
  (app as unknown as { loadSocketModule(): Promise<void> }).loadSocketModule = () => Promise.resolve();
}

/** Where it is, for this machine and for others. */
function greeting(reach: Reach): string {
  const { addresses, secureAddresses } = addressesOf(reach);
  if (addresses.length === 0) return `Eurhythm is at http://${reach.host}:${reach.port}\n`;
  return [
    `Eurhythm is at http://127.0.0.1:${reach.port}`,
    `Others on the network reach it at ${addresses.join(' ')}`,
    `Phones that trust it, at ${secureAddresses.join(' ')} (how: ${addresses[0]}/phone)`,
    '',
  ].join('\n');
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
