import 'reflect-metadata';
import type { ExecutionContext } from '@nestjs/common';
import { AccessGuard, May } from './access.ts';
import { isLoopback } from './loopback.ts';

class Open {
  forAll(): void {}
}
May('coach')(Open);
class Closed {
  alone(): void {}
}

const asked = (room: new () => object, route: string, remoteAddress: string): boolean | string => {
  const context = {
    switchToHttp: () => ({ getRequest: () => ({ socket: { remoteAddress } }) }),
    getHandler: () => (room.prototype as Record<string, unknown>)[route],
    getClass: () => room,
  } as unknown as ExecutionContext;
  try {
    return new AccessGuard().canActivate(context);
  } catch (error) {
    return (error as Error).message;
  }
};

describe('who may use a route', () => {
  it.each(['127.0.0.1', '::1', '::ffff:127.0.0.1'])('this machine, by %s, may use every one', (address) => {
    expect([asked(Open, 'forAll', address), asked(Closed, 'alone', address)]).toEqual([true, true]);
  });
  it.each(['192.168.1.7', '::ffff:10.0.0.2', 'fe80::1'])(
    'another one, by %s, those that say so',
    (address) => {
      expect(asked(Open, 'forAll', address)).toBe(true);
      expect(asked(Closed, 'alone', address)).toBe(
        'This may only be done on the machine on which the server runs.',
      );
    },
  );
  it('a connection that tells no address is of another one', () => expect(isLoopback(undefined)).toBe(false));
});
