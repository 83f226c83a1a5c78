import 'reflect-metadata';
import { Logger, NotFoundException } from '@nestjs/common';
import { HallGateway } from './hall.gateway.ts';

type ComesIn = (socket: object, next: (error?: Error) => void) => void;

/** A gateway whose database is away, and what lets its sockets in. */
function gatewayWithout(runOf: () => Promise<string>): { gateway: HallGateway; comesIn: ComesIn } {
  const gateway = new HallGateway({ runOf } as never, {} as never, { hear: () => {} } as never);
  let comesIn: ComesIn = () => {};
  const away = { fetchSockets: () => Promise.reject(new Error('connection lost')) };
  const server = { use: (given: ComesIn) => (comesIn = given), in: () => away, to: () => away };
  Object.assign(gateway, { server });
  gateway.afterInit(server as never);
  return { gateway, comesIn };
}
const asked = (comesIn: ComesIn): Promise<string | undefined> =>
  new Promise((done) =>
    comesIn({ handshake: { auth: { code: 'ACDEFH', view: 'wall' }, address: '' }, data: {} }, (error) =>
      done(error?.message),
    ),
  );

describe('the hall with its database away', () => {
  beforeAll(() => Logger.overrideLogger(false));
  afterAll(() => Logger.overrideLogger(['error', 'warn']));

  it('lets nobody’s coming or going end the server', async () => {
    const { gateway } = gatewayWithout(() => Promise.resolve('run'));
    const device = { runId: 'run', view: 'desk', name: '', deskId: 'd' };
    const socket = { data: { device }, join: () => Promise.resolve(), emit: () => {} };
    await expect(gateway.handleConnection(socket as never)).resolves.toBeUndefined();
    await expect(gateway.handleDisconnect(socket as never)).resolves.toBeUndefined();
  });
  it('tells a device our own sentences, and nothing of the database', async () => {
    const refused = gatewayWithout(() => Promise.reject(new NotFoundException('No class has this code.')));
    expect(await asked(refused.comesIn)).toBe('No class has this code.');
    const broken = gatewayWithout(() => Promise.reject(new Error('Failed query: select code')));
    expect(await asked(broken.comesIn)).toBe(
      'The class cannot be looked at for a moment. It is tried again.',
    );
  });
});
