import {
  applyDecorators,
  ForbiddenException,
  Injectable,
  SetMetadata,
  UnauthorizedException,
  type CanActivate,
  type ExecutionContext,
} from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import { ApiExtension } from '@nestjs/swagger';
import type { Request } from 'express';

/**
 * Who asks: this machine itself; a coach on another one, who has said the gym's passphrase there; or anybody else on the network,
 * where whoever runs the server has opened it to that.
 */
export type Who = 'machine' | 'coach' | 'visitor';

const MAY = 'may';

/** Who beside this machine may use a route, or all routes of a room. A route that says nothing is for this machine alone. */
export const AllowRoles = (...who: readonly Exclude<Who, 'machine'>[]): MethodDecorator & ClassDecorator =>
  applyDecorators(SetMetadata(MAY, who), ApiExtension('x-may', ['machine', ...who]));

/** What a visitor sees of other people, but at the door. */
export const SAY_PASSPHRASE = 'Say the gym’s passphrase first.';

/** Where it stands in a request who asks; the door writes it there before any route. */
const WHO = Symbol('who');

export function setWho(request: object, who: Who): void {
  (request as { [WHO]?: Who })[WHO] = who;
}

export function whoAsks(request: object): Who {
  return (request as { [WHO]?: Who })[WHO] ?? 'visitor';
}

/** The one guard through which every route passes. */
@Injectable()
export class AccessGuard implements CanActivate {
  private readonly reflector = new Reflector();

  canActivate(context: ExecutionContext): boolean {
    if (context.getType() !== 'http') return true;
    const who = whoAsks(context.switchToHttp().getRequest<Request>());
    const places = [context.getHandler(), context.getClass()];
    const may = this.reflector.getAllAndOverride<readonly Who[] | undefined>(MAY, places) ?? [];
    if (who === 'machine' || may.includes(who)) return true;
    if (who === 'visitor') throw new UnauthorizedException({ message: SAY_PASSPHRASE });
    throw new ForbiddenException({
      message: 'This may only be done on the machine on which the server runs.',
    });
  }
}
