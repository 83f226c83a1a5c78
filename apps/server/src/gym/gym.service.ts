import { Injectable } from '@nestjs/common';
import { STARTER_SCHOOL_SETTINGS, type GymView, type SchoolDto } from '@eurhythm/contract';
import { asc } from 'drizzle-orm';
import { askedTogether } from '../store/askedTogether.ts';
import type { Database, Transaction } from '../store/database.ts';
import { grades, gyms, techniqueLists } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { keptSchool } from './keptSchool.ts';
import { refusingStale, writeVersioned } from '../store/versionedWrite.ts';

@Injectable()
export class GymService {
  constructor(@InjectDatabase() private readonly database: Database) {}

  readonly gym = askedTogether(() => this.read());

  private async read(): Promise<GymView> {
    const [row] = await this.database.select().from(gyms);
    const order = await this.database.select().from(grades).orderBy(asc(grades.position));
    const lists = await this.database
      .select({ gradeId: techniqueLists.gradeId, version: techniqueLists.version })
      .from(techniqueLists);
    return {
      name: row?.name ?? 'Your gym',
      noticeAcceptedAt: row?.noticeAcceptedAt?.toISOString() ?? null,
      grades: order.map(({ id, name, band }) => ({ id, name, band })),
      school: keptSchool(row?.school),
      version: row?.version ?? 0,
      gradesVersion: row?.gradesVersion ?? 0,
      listVersions: Object.fromEntries(lists.map((list) => [list.gradeId, list.version])),
    };
  }

  /** The version of the list of grades, locked until the end of the transaction. */
  async lockGradesVersion(tx: Transaction): Promise<number> {
    const [kept] = await tx.select({ version: gyms.gradesVersion }).from(gyms).for('update');
    return kept?.version ?? 0;
  }

  async setGradesVersion(tx: Transaction, version: number): Promise<void> {
    await tx.update(gyms).set({ gradesVersion: version });
  }

  /** The version of the number map, locked until the end of the transaction. */
  async lockNumbersVersion(tx: Transaction): Promise<number> {
    const [kept] = await tx.select({ version: gyms.numbersVersion }).from(gyms).for('update');
    return kept?.version ?? 0;
  }

  async setNumbersVersion(tx: Transaction, version: number): Promise<void> {
    await tx.update(gyms).set({ numbersVersion: version });
  }

  async saveSchool(school: SchoolDto, basedOn?: number): Promise<GymView> {
    await refusingStale(
      () =>
        this.database.transaction((tx) =>
          writeVersioned(
            {
              sent: { ...STARTER_SCHOOL_SETTINGS, ...school },
              insert: async () => false,
              read: async () => {
                const [kept] = await tx.select().from(gyms).for('update');
                return {
                  content: keptSchool(kept?.school),
                  version: kept?.version ?? 0,
                };
              },
              update: async (version) => {
                await tx.update(gyms).set({ school, version });
              },
            },
            basedOn,
          ),
        ),
      () => this.gym(),
    );
    return this.gym();
  }

  /** Names the gym; the same again changes nothing. */
  async rename(name: string): Promise<GymView> {
    await this.database.update(gyms).set({ name });
    return this.gym();
  }

  /** Notes that somebody read the first-start notice; the first time counts. */
  async acceptNotice(): Promise<GymView> {
    const { noticeAcceptedAt } = await this.gym();
    if (noticeAcceptedAt === null) await this.database.update(gyms).set({ noticeAcceptedAt: new Date() });
    return this.gym();
  }
}
