import type { IncomingMessage, Server } from 'node:http';
import type { Duplex } from 'node:stream';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { WebSocketServer, type WebSocket } from 'ws';
import { AuthService } from '../auth/auth.service.ts';
import { whoIs } from '../auth/watchSessions.ts';
import { HallService } from '../hall/hall.service.ts';
import { SensorRelay } from './SensorRelay.ts';

/** Where a strike sensor sends its messages, and where they are heard (docs/strikes.md). */
export const SENSOR_PATH = '/api/sensor/socket';
export const SENSOR_HEAR_PATH = '/api/sensor/hear';
/** No message is longer. */
const MOST_BYTES = 1024;

export interface SensorWays {
  readonly plain: Server;
  readonly secure: Server | null;
  mayCome(request: IncomingMessage): boolean;
}

/**
 * Lets strike sensors speak to a server that listens, over plain WebSocket, and passes on what they say. This machine and coaches
 * may; whoever else comes tells the code of a class. Gives what closes it.
 */
export function openSensors(app: NestExpressApplication, { plain, secure, mayCome }: SensorWays): () => void {
  const door = app.get(AuthService, { strict: false });
  const hall = app.get(HallService, { strict: false });
  const relay = new SensorRelay();
  const sockets = new WebSocketServer({ noServer: true, maxPayload: MOST_BYTES });

  const mayListen = async (request: IncomingMessage, code: string | null): Promise<boolean> => {
    if (!mayCome(request)) return false;
    if ((await whoIs(request, door)) !== 'visitor') return true;
    if (code === null) return false;
    return hall.runOf(code, request.socket.remoteAddress ?? '').then(
      () => true,
      () => false, // no class has this code
    );
  };
  const upgrade = (request: IncomingMessage, socket: Duplex, head: Buffer): void => {
    const { pathname, searchParams } = new URL(request.url ?? '/', 'http://here');
    if (pathname !== SENSOR_PATH && pathname !== SENSOR_HEAR_PATH) return;
    mayListen(request, searchParams.get('code'))
      .catch(() => false)
      .then((may) => {
        if (!may) return socket.end('HTTP/1.1 401 Unauthorized\r\nconnection: close\r\n\r\n');
        sockets.handleUpgrade(request, socket, head, (came: WebSocket) =>
          pathname === SENSOR_PATH ? relay.sensor(came) : relay.listener(came),
        );
      });
  };
  for (const server of [plain, secure]) server?.on('upgrade', upgrade);
  return () => {
    for (const client of sockets.clients) client.terminate();
    sockets.close();
  };
}
