import {
  Inject,
  Injectable,
  NotFoundException,
  type BeforeApplicationShutdown,
  type OnApplicationBootstrap,
  type OnModuleDestroy,
} from '@nestjs/common';
import type { BackupList, BackupView } from '@eurhythm/contract';
import { format } from 'date-fns';
import { refuseField } from '../http/refuse.ts';
import { HeavyWork } from '../heavy/heavyWork.ts';
import { CopyFolder, REASONS, type KeptCopy, type Reason } from '../store/copies/copyFolder.ts';
import { dumpTables } from '../store/copies/dumpTables.ts';
import { BrokenCopy, readCopy, restoreCopy } from '../store/copies/restoreCopy.ts';
import type { Store } from '../store/store.ts';
import { InjectStore } from '../store/store.module.ts';
import { AuditService } from './audit.service.ts';
import { erasedIn, erasedSince, forgetAgain } from './erasePerson.ts';

export const COPIES = Symbol('copies');

/** The first look comes so long after the start, once the server answers; then one every hour. */
const FIRST_LOOK_MS = Number(process.env['EURHYTHM_BACKUP_AFTER'] ?? 2) * 1000;
const LOOK_MS = 3_600_000;

/** Makes dated copies of the gym while it is used, and brings them back. */
@Injectable()
export class BackupsService implements OnApplicationBootstrap, OnModuleDestroy, BeforeApplicationShutdown {
  private timers: NodeJS.Timeout[] = [];
  private making: Promise<unknown> = Promise.resolve();
  private isStopping = false;
  private trouble: string | null = null;
  private readonly waiting = new Map<Reason, Promise<BackupView>>();

  constructor(
    @InjectStore() private readonly store: Store,
    @Inject(COPIES) private readonly copies: CopyFolder,
    private readonly heavy: HeavyWork,
    private readonly audit: AuditService,
  ) {}

  onApplicationBootstrap(): void {
    const look = (): void => void this.makeIfDue();
    this.timers = [setTimeout(look, FIRST_LOOK_MS), setInterval(look, LOOK_MS)];
    for (const timer of this.timers) timer.unref();
  }

  onModuleDestroy(): void {
    this.isStopping = true;
    for (const timer of this.timers) clearTimeout(timer);
  }

  /** The threads that look through a copy are stopped by now: what was being made is dropped. */
  async beforeApplicationShutdown(): Promise<void> {
    await this.making.catch(() => {});
  }

  async list(): Promise<BackupList> {
    const copies = await this.copies.list();
    const items = copies.map(async (copy) => ({
      ...backupView(copy),
      erasedSince: await erasedSince(this.store.database, copy.madeAt),
    }));
    return { items: await Promise.all(items), trouble: this.trouble };
  }

  /** A copy that is asked for. Who asks while one waits for its turn gets that one: it will hold all that is there now. */
  make(reason: Reason = 'by-hand'): Promise<BackupView> {
    const waiting = this.waiting.get(reason);
    if (waiting) return waiting;
    const copy = this.inTurn(async () => {
      this.waiting.delete(reason);
      const now = new Date();
      const lines = await dumpTables(this.store.database, reason, now);
      const name = await this.copies.keep(lines, reason, now, (file) => this.heavy.run('checkCopy', file));
      return backupView((await this.copies.list()).find((kept) => kept.name === name)!);
    });
    this.waiting.set(reason, copy);
    return copy;
  }

  async open(name: string) {
    await this.mustHave(name);
    return this.copies.stream(name);
  }

  /** Brings a copy back, all or nothing; what was there is kept as a copy before. */
  async restore(name: string): Promise<BackupView> {
    await this.mustHave(name);
    const text = await this.copies.text(name).catch(refuse);
    const before = await this.make('before-restore');
    const erased = await erasedIn(this.store.database);
    await restoreCopy(this.store.database, text).catch(refuse);
    await this.store.prepare(async () => {});
    await this.audit.note('An older copy of the gym was brought back.');
    const { madeAt } = readCopy(text).head;
    if ((await forgetAgain(this.store.database, erased, new Date(madeAt))) > 0)
      await this.audit.note('The data of people who were erased after that copy was made was erased again.');
    return before;
  }

  private async mustHave(name: string): Promise<void> {
    if (!(await this.copies.has(name))) throw new NotFoundException('There is no such copy.');
  }

  /** The copy of today, where there is none yet; what is older than it is kept goes. */
  private async makeIfDue(): Promise<void> {
    try {
      const now = new Date();
      const [newest] = (await this.copies.list()).filter(({ reason }) => reason === 'daily');
      const dayOf = (date: Date): string => format(date, 'yyyy-MM-dd');
      if (!newest || dayOf(newest.madeAt) !== dayOf(now)) await this.make('daily');
      await this.inTurn(() => this.copies.prune(now));
      this.trouble = null;
    } catch (error) {
      if (this.isStopping) return;
      this.trouble = `No copy of the gym could be made: ${sentence(error)}`;
      console.error(this.trouble);
    }
  }

  /** One after the other. */
  private inTurn<T>(work: () => Promise<T>): Promise<T> {
    const next = this.making.catch(() => {}).then(work);
    this.making = next;
    return next;
  }
}

/** What is wrong with a copy is told to whoever asked for it. */
function refuse(error: unknown): never {
  throw error instanceof BrokenCopy ? refuseField('name', error.message) : error;
}

function sentence(error: unknown): string {
  if ((error as { code?: string }).code === 'ENOSPC')
    return 'the disk is full. Make room; it is tried again every hour.';
  return error instanceof Error ? error.message : String(error);
}

function backupView({ name, madeAt, reason, bytes }: KeptCopy): BackupView {
  return { erasedSince: 0, name, madeAt: madeAt.toISOString(), why: REASONS[reason], bytes, checked: true };
}
