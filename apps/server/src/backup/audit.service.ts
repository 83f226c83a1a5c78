import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import type { AuditLineView } from '@eurhythm/contract';
import { desc } from 'drizzle-orm';
import type { Database, Transaction } from '../store/database.ts';
import { auditLines } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';

const SHOWN = 100;

/** What was done to the data of people and of the whole gym. Its lines name nobody. */
@Injectable()
export class AuditService {
  constructor(@InjectDatabase() private readonly database: Database) {}

  async note(what: string, tx: Database | Transaction = this.database): Promise<void> {
    await tx.insert(auditLines).values({ id: randomUUID(), at: new Date(), what });
  }

  /** The newest lines, newest first. */
  async lines(): Promise<AuditLineView[]> {
    const rows = await this.database.select().from(auditLines).orderBy(desc(auditLines.at)).limit(SHOWN);
    return rows.map(({ at, what }) => ({ at: at.toISOString(), what }));
  }
}
