import { Injectable, NotFoundException } from '@nestjs/common';
import { eq } from 'drizzle-orm';
import type { Database } from '../store/database.ts';
import { fighters } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { AuditService } from './audit.service.ts';
import { erasePerson } from './erasePerson.ts';

/** Erases for good what is kept about a person. */
@Injectable()
export class PersonsService {
  constructor(
    @InjectDatabase() private readonly database: Database,
    private readonly audit: AuditService,
  ) {}

  /**
   * Erases a fighter: entry, marks, trials, places in sheets, runs and lists. Totals of the classes stay, counted without the
   * person. Erasing somebody who is not there (any more) is 404.
   */
  async erase(id: string): Promise<void> {
    await this.database.transaction(async (tx) => {
      const [there] = await tx.select({ id: fighters.id }).from(fighters).where(eq(fighters.id, id));
      if (!there) throw new NotFoundException('This fighter is not in the gym.');
      await erasePerson(tx, id);
      await this.audit.note('The data of a person was erased.', tx);
    });
  }
}
