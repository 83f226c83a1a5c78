import { HttpException, HttpStatus } from '@nestjs/common';
import { olderPackage } from '../process/olderPackage.ts';
import type { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible';

/** So many tries in this time, then it is waited. */
interface Patience {
  readonly tries: number;
  readonly seconds: number;
}

/** Counts tries, by whoever makes them and by all together, so that guessing takes longer than anybody has. */
export class RateLimit {
  private readonly own: Patience;
  private readonly all: Patience;
  private made: Promise<{ own: RateLimiterMemory; all: RateLimiterMemory }> | null = null;

  constructor(own: Patience, all: Patience) {
    this.own = own;
    this.all = all;
  }

  /** The package brings stores for a dozen databases, so it is read when somebody first tries. */
  private limiters(): NonNullable<RateLimit['made']> {
    this.made ??= import('rate-limiter-flexible').then((read) => {
      const { RateLimiterMemory } = olderPackage(read);
      const of = ({ tries, seconds }: Patience): RateLimiterMemory =>
        new RateLimiterMemory({ points: tries, duration: seconds });
      return { own: of(this.own), all: of(this.all) };
    });
    return this.made;
  }

  /** Takes a try, before it is known whether it is right: many at once are counted too. @throws 429 with a sentence when there were too many */
  async take(who: string): Promise<void> {
    const { own, all } = await this.limiters();
    try {
      await own.consume(who);
      await all.consume('all');
    } catch (waits) {
      throw new TooManyTries((waits as RateLimiterRes).msBeforeNext);
    }
  }

  /** It was right: nobody who knows has to wait. */
  async wasRight(who: string): Promise<void> {
    const { own, all } = await this.limiters();
    await own.delete(who);
    await all.reward('all');
  }
}

class TooManyTries extends HttpException {
  constructor(waitMs: number) {
    const minutes = Math.max(1, Math.ceil(waitMs / 60_000));
    const when = minutes === 1 ? 'a minute' : `${minutes} minutes`;
    super({ message: `That was wrong too often. Try again in ${when}.` }, HttpStatus.TOO_MANY_REQUESTS);
  }
}
