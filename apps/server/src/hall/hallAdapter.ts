import type { Server as HttpServer, IncomingMessage } from 'node:http';
import { IoAdapter } from '@nestjs/platform-socket.io';
import type { Pool } from 'pg';
import { olderPackage } from '../process/olderPackage.ts';
import type { Server, ServerOptions } from 'socket.io';
import { LentConnections } from './lentConnections.ts';

/** Where devices of the hall speak to the server. */
export const HALL_PATH = '/api/hall/socket';
/** Nothing that a device says is longer. */
const MOST_BYTES = 16_384;

/** Speaks to the devices of a hall over WebSocket; where several servers share one database, through it to those of all of them. */
export class HallAdapter extends IoAdapter {
  private server: Server | null = null;
  private readonly connections: LentConnections | null;

  constructor(
    plain: HttpServer,
    private readonly mayCome: (request: IncomingMessage) => boolean,
    shared: Pool | null,
  ) {
    super(plain);
    this.connections = shared && new LentConnections(shared);
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
    if (this.connections) {
      const { createAdapter } = olderPackage(await import('@socket.io/postgres-adapter'));
      const onError = (error: Error): void =>
        console.error('Devices on other servers are not reached for a moment:', error.message);
      const options = { tableName: 'hall_messages', errorHandler: onError };
      this.server?.adapter(createAdapter(this.connections.asPool, options));
    }
    if (secure) this.server?.attach(secure);
  }

  /** Leaves the others, once nobody is spoken to any more. */
  leave(): void {
    this.connections?.close();
  }
}
