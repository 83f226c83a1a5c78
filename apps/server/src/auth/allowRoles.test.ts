import 'reflect-metadata';
import type { ExecutionContext } from '@nestjs/common';
import { AccessGuard, AllowRoles, SAY_PASSPHRASE, setWho, type Who } from './allowRoles.ts';
import { isLoopback } from '../http/loopback.ts';

class Open {
  forCoaches(): void {}
}
AllowRoles('coach')(Open);
class Door {
  forAll(): void {}
}
AllowRoles('coach', 'visitor')(Door);
class Closed {
  alone(): void {}
}

const asked = (room: new () => object, who: Who | null): boolean | string => {
  const request = {};
  if (who) setWho(request, who);
  const context = {
    getType: () => 'http',
    switchToHttp: () => ({ getRequest: () => request }),
    getHandler: () => Object.values(Object.getOwnPropertyDescriptors(room.prototype))[1]!.value as unknown,
    getClass: () => room,
  } as unknown as ExecutionContext;
  try {
    return new AccessGuard().canActivate(context);
  } catch (error) {
    return (error as Error).message;
  }
};

const ALONE = 'This may only be done on the machine on which the server runs.';

describe('who may use a route', () => {
  it.each([
    ['machine', [true, true, true]],
    ['coach', [true, true, ALONE]],
    ['visitor', [true, SAY_PASSPHRASE, SAY_PASSPHRASE]],
    // Whom nobody wrote down is nobody.
    [null, [true, SAY_PASSPHRASE, SAY_PASSPHRASE]],
  ] as const)('%s', (who, answers) => {
    expect([Door, Open, Closed].map((room) => asked(room, who))).toEqual(answers);
  });
});

describe('this machine itself', () => {
  it.each(['127.0.0.1', '::1', '::ffff:127.0.0.1'])('is %s', (address) => {
    expect(isLoopback(address)).toBe(true);
  });
  it.each(['192.168.1.7', '::ffff:10.0.0.2', 'fe80::1', undefined])('is not %s', (address) => {
    expect(isLoopback(address)).toBe(false);
  });
});
