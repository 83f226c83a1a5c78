import { randomBytes } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { eq } from 'drizzle-orm';
import { refuseField } from '../http/refuse.ts';
import type { Database } from '../store/database.ts';
import { doors } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { isKey, makeKey } from './key.ts';
import { kept, matches } from './passphrase.ts';
import { RateLimit } from './rateLimit.ts';

/** There is one. */
const ID = 'door';

/** The gym's door to the network: what a coach says to come in, and the keys of those who have said it. */
@Injectable()
export class AuthService {
  private readonly tries = new RateLimit({ tries: 5, seconds: 600 }, { tries: 50, seconds: 600 });

  constructor(@InjectDatabase() private readonly database: Database) {}

  async hasPassphrase(): Promise<boolean> {
    return (await this.row()) !== null;
  }

  /** Sets the passphrase; every key of an older one is void. Gives a key for the device that set it. */
  async set(passphrase: string): Promise<string> {
    const row = {
      passphrase: await kept(passphrase),
      secret: randomBytes(32).toString('base64'),
      setAt: new Date(),
    };
    await this.database
      .insert(doors)
      .values({ id: ID, ...row })
      .onConflictDoUpdate({ target: doors.id, set: row });
    return makeKey(row.secret, Date.now());
  }

  /** A key for who says the passphrase. @throws 422 with a sentence at the field, 429 after too many wrong ones */
  async open(passphrase: string, address: string): Promise<string> {
    await this.tries.take(address);
    const row = await this.row();
    if (!row)
      throw refuseField(
        'passphrase',
        'No passphrase is set yet. Set it on the machine itself: Gym, Devices.',
      );
    if (!(await matches(passphrase, row.passphrase)))
      throw refuseField('passphrase', 'That is not the gym’s passphrase.');
    await this.tries.wasRight(address);
    return makeKey(row.secret, Date.now());
  }

  async isOpenFor(key: string | undefined): Promise<boolean> {
    if (!key) return false;
    const row = await this.row();
    return row !== null && isKey(key, row.secret, Date.now());
  }

  private async row(): Promise<typeof doors.$inferSelect | null> {
    const [row] = await this.database.select().from(doors).where(eq(doors.id, ID));
    return row ?? null;
  }
}
