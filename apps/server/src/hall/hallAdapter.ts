import type { Server as HttpServer, IncomingMessage } from 'node:http';
import { IoAdapter } from '@nestjs/platform-socket.io';
import type { Pool } from 'pg';
import { olderPackage } from '../house/olderPackage.ts';
import type { Server, ServerOptions } from 'socket.io';

/** Where devices of the hall speak to the server. */
export const HALL_PATH = '/api/hall/socket';
/** Nothing that a device says is longer. */
const MOST_BYTES = 16_384;

/** Speaks to the devices of a hall over WebSocket; where several servers share one database, through it to those of all of them. */
export class HallAdapter extends IoAdapter {
  private server: Server | null = null;

  constructor(
    plain: HttpServer,
    private readonly mayCome: (request: IncomingMessage) => boolean,
    private readonly pool: Pool | null,
  ) {
    super(plain);
  }

  override createIOServer(port: number, options?: ServerOptions): Server {
    const server = super.createIOServer(port, {
      ...options,
      path: HALL_PATH,
      serveClient: false,
      transports: ['websocket'],
      maxHttpBufferSize: MOST_BYTES,
      allowRequest: (request: IncomingMessage, answer: (error: string | null, may: boolean) => void) =>
        answer(null, this.mayCome(request)),
    } as unknown as ServerOptions) as Server;
    this.server = server;
    return server;
  }

  /** Once the server listens: joins the others on the same database, and listens on the secure way too. */
  async ready(secure: HttpServer | null): Promise<void> {
    if (this.pool) {
      const { createAdapter } = olderPackage(await import('@socket.io/postgres-adapter'));
      const onError = (error: Error): void =>
        console.error('Devices on other servers are not reached for a moment:', error.message);
      this.server?.adapter(createAdapter(this.pool, { tableName: 'hall_messages', errorHandler: onError }));
    }
    if (secure) this.server?.attach(secure);
  }
}
