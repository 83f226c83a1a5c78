import { isLoopback } from './loopback.ts';
import {
  applyDecorators,
  ForbiddenException,
  Injectable,
  SetMetadata,
  type CanActivate,
  type ExecutionContext,
} from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import { ApiExtension } from '@nestjs/swagger';
import type { Request } from 'express';

/**
 * Who asks: this machine itself, or a coach on another one, where whoever runs the server has opened it to the network by `HOST`. Devices
 * that join a class come with the hall.
 */
export type Who = 'machine' | 'coach';

const MAY = 'may';

/** Who beside this machine may use a route, or all routes of a room. A route that says nothing is for this machine alone. */
export const May = (...who: readonly Exclude<Who, 'machine'>[]): MethodDecorator & ClassDecorator =>
  applyDecorators(SetMetadata(MAY, who), ApiExtension('x-may', ['machine', ...who]));

/** The one guard through which every route passes. */
@Injectable()
export class AccessGuard implements CanActivate {
  private readonly reflector = new Reflector();

  canActivate(context: ExecutionContext): boolean {
    const { socket } = context.switchToHttp().getRequest<Request>();
    const who: Who = isLoopback(socket.remoteAddress) ? 'machine' : 'coach';
    const places = [context.getHandler(), context.getClass()];
    const may = this.reflector.getAllAndOverride<readonly Who[] | undefined>(MAY, places) ?? [];
    if (who === 'machine' || may.includes(who)) return true;
    throw new ForbiddenException({
      message: 'This may only be done on the machine on which the server runs.',
    });
  }
}
