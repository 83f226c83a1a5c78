import { HttpException, HttpStatus } from '@nestjs/common';
import { RateLimiterMemory, type RateLimiterRes } from 'rate-limiter-flexible';

/** So many tries in this time, then it is waited. */
interface Patience {
  readonly tries: number;
  readonly seconds: number;
}

/** Counts tries, by whoever makes them and by all together, so that guessing takes longer than anybody has. */
export class Tries {
  private readonly own: RateLimiterMemory;
  private readonly all: RateLimiterMemory;

  constructor(own: Patience, all: Patience) {
    this.own = new RateLimiterMemory({ points: own.tries, duration: own.seconds });
    this.all = new RateLimiterMemory({ points: all.tries, duration: all.seconds });
  }

  /** Takes a try, before it is known whether it is right: many at once are counted too. @throws 429 with a sentence when there were too many */
  async take(who: string): Promise<void> {
    try {
      await this.own.consume(who);
      await this.all.consume('all');
    } catch (waits) {
      throw new TooManyTries((waits as RateLimiterRes).msBeforeNext);
    }
  }

  /** It was right: nobody who knows has to wait. */
  async wasRight(who: string): Promise<void> {
    await this.own.delete(who);
    await this.all.reward('all');
  }
}

class TooManyTries extends HttpException {
  constructor(waitMs: number) {
    const minutes = Math.max(1, Math.ceil(waitMs / 60_000));
    const when = minutes === 1 ? 'a minute' : `${minutes} minutes`;
    super({ message: `That was wrong too often. Try again in ${when}.` }, HttpStatus.TOO_MANY_REQUESTS);
  }
}
