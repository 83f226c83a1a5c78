import type { IncomingMessage, Server } from 'node:http';
import { Module, type DynamicModule } from '@nestjs/common';
import { NestFactory } from '@nestjs/core';
import { ExpressAdapter, type NestExpressApplication } from '@nestjs/platform-express';
import type { Pool } from 'pg';
import { AuthService } from '../auth/auth.service.ts';
import { RunNews } from '../runs/runNews.ts';
import { HallAdapter } from './hallAdapter.ts';
import { HallGateway } from './hall.gateway.ts';
import { HallService } from './hall.service.ts';

@Module({})
class HallSocketsModule {
  /** The gateway over the services of the server that is open already. */
  static over(app: NestExpressApplication): DynamicModule {
    const services = [HallService, AuthService, RunNews].map((service) => ({
      provide: service,
      useValue: app.get(service as new () => unknown, { strict: false }),
    }));
    return { module: HallSocketsModule, providers: [...services, HallGateway] };
  }
}

export interface HallWays {
  /** The servers on which devices may come in: the plain one, and the secure one beside it. */
  readonly plain: Server;
  readonly secure: Server | null;
  /** Connections to a database that other servers use too. */
  readonly shared: Pool | null;
  mayCome(request: IncomingMessage): boolean;
}

/**
 * Lets devices speak to a server that listens: a part of its own, since what it is made of takes longer to read than all the rest, and
 * nobody asks for it in the first second. Gives what closes it.
 */
export async function openHall(
  app: NestExpressApplication,
  { plain, secure, shared, mayCome }: HallWays,
): Promise<() => Promise<void>> {
  const hall = await NestFactory.create(HallSocketsModule.over(app), new ExpressAdapter(), {
    logger: ['error', 'warn'],
  });
  const adapter = new HallAdapter(plain, mayCome, shared);
  hall.useWebSocketAdapter(adapter);
  await hall.init();
  await adapter.ready(secure);
  return async () => {
    await hall.close();
    adapter.leave();
  };
}
