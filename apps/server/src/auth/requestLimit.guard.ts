import {
  HttpException,
  HttpStatus,
  Injectable,
  type CanActivate,
  type ExecutionContext,
} from '@nestjs/common';
import type { Request } from 'express';
import type { RateLimiterMemory } from 'rate-limiter-flexible';
import { isLoopback } from '../http/loopback.ts';
import { olderPackage } from '../process/olderPackage.ts';

/** So much may another machine ask in a minute: far more than any page does, and less than holds others up. */
const LIMIT = { points: 1500, duration: 60 };
const TOO_OFTEN = 'This is asked too often. Wait a moment, then try again.';

/** Limits the requests of each other machine; this machine itself is not limited. */
@Injectable()
export class RequestLimitGuard implements CanActivate {
  private limiter: Promise<RateLimiterMemory> | null = null;

  /** @throws 429 with a sentence */
  async canActivate(context: ExecutionContext): Promise<boolean> {
    if (context.getType() !== 'http') return true;
    const { remoteAddress } = context.switchToHttp().getRequest<Request>().socket;
    if (isLoopback(remoteAddress)) return true;
    this.limiter ??= import('rate-limiter-flexible').then(
      (read) => new (olderPackage(read).RateLimiterMemory)(LIMIT),
    );
    const limiter = await this.limiter;
    await limiter.consume(remoteAddress ?? '').catch(() => {
      throw new HttpException({ message: TOO_OFTEN }, HttpStatus.TOO_MANY_REQUESTS);
    });
    return true;
  }
}
