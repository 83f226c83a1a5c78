import { IDBFactory } from 'fake-indexeddb';
import { Refused } from '../../server/api.ts';
import type { QueuedWrite } from './queuedWrite.ts';
import { QueuedWriteStore } from './queuedWriteStore.ts';
import { Sync, type Tabs } from './Sync.ts';

/** What the test's server was sent, and how it behaves. */
export class HandServer {
  readonly got: { readonly address: string; readonly body: unknown; readonly basedOn: number | null }[] = [];
  readonly versions = new Map<string, number>();
  away = false;
  /** Requests that it has at the moment, by address. */
  readonly open = new Map<string, number>();
  mostOpen = 0;
  refuses: (address: string) => Refused | null = () => null;

  async take(path: string, body: unknown): Promise<unknown> {
    const [address = '', query = ''] = path.split('?');
    const isOpen = (this.open.get(address) ?? 0) + 1;
    this.open.set(address, isOpen);
    this.mostOpen = Math.max(this.mostOpen, isOpen);
    await new Promise((done) => setImmediate(done));
    this.open.set(address, isOpen - 1);
    if (this.away) throw new Refused(0, { message: 'The server does not answer.' });
    const refusal = this.refuses(address);
    if (refusal) throw refusal;
    const basedOn = query === '' ? null : Number(query.replace('basedOn=', ''));
    const version = this.versions.get(address) ?? 0;
    if (basedOn !== null && basedOn !== version)
      throw new Refused(409, { message: 'This was changed elsewhere meanwhile.', now: { version } });
    this.got.push({ address, body, basedOn });
    this.versions.set(address, version + 1);
    return { version: version + 1 };
  }
}

/** The tabs of one browser: a channel between them, and a lock that goes to the next one when its holder is closed. */
export class HandBrowser {
  readonly server: HandServer;
  private readonly tabs: HandTab[] = [];
  private static made = 0;
  private readonly name = `browser ${(HandBrowser.made += 1)}`;

  constructor(server: HandServer) {
    this.server = server;
  }

  async open(): Promise<HandTab> {
    const tab = new HandTab(this, await QueuedWriteStore.open(this.name));
    this.tabs.push(tab);
    this.handOn();
    return tab;
  }

  others(than: HandTab): readonly HandTab[] {
    return this.tabs.filter((tab) => tab !== than && !tab.isClosed);
  }

  /** The first tab that is open is the one that sends. */
  handOn(): void {
    this.tabs.find((tab) => !tab.isClosed)?.lead();
  }

  async settled(): Promise<void> {
    for (let i = 0; i < 60; i++) {
      for (const tab of this.tabs) if (!tab.isClosed) tab.sync.tryNow();
      await rest();
      const waiting = await this.tabs.find((tab) => !tab.isClosed)?.store.waiting();
      if (waiting?.length === 0) return;
    }
  }
}

/** A tab as the test opens, uses and closes it. */
export class HandTab implements Tabs {
  readonly sync: Sync;
  readonly store: QueuedWriteStore;
  isClosed = false;
  private listen: (message: never) => void = () => {};
  private work: (() => Promise<void>) | null = null;
  private leads = false;
  private readonly browser: HandBrowser;

  constructor(browser: HandBrowser, store: QueuedWriteStore) {
    this.browser = browser;
    this.store = store;
    let ids = 0;
    const own = Math.random().toString(36).slice(2);
    this.sync = new Sync(
      store,
      (_method: QueuedWrite['method'], path, body) => this.ask(path, body),
      this,
      () => `${own}-${(ids += 1)}`,
    );
  }

  post(message: unknown): void {
    for (const other of this.browser.others(this)) other.listen(message as never);
  }
  onMessage(listen: (message: never) => void): void {
    this.listen = listen;
  }
  whenAlone(work: () => Promise<void>): void {
    this.work = work;
  }

  lead(): void {
    if (this.leads || !this.work) return;
    this.leads = true;
    void this.work();
  }

  /** A page that is gone hears no answer and writes nothing any more; what was on its way may have arrived. */
  close(): void {
    this.isClosed = true;
    this.browser.handOn();
  }

  private async ask(path: string, body: unknown): Promise<unknown> {
    if (this.isClosed) return new Promise(() => {});
    try {
      const answer = await this.browser.server.take(path, body);
      return this.isClosed ? new Promise(() => {}) : answer;
    } catch (error) {
      return this.isClosed ? new Promise(() => {}) : Promise.reject(error);
    }
  }
}

/** Long enough for every step of a database in memory. */
export async function rest(): Promise<void> {
  for (let i = 0; i < 40; i++) await new Promise((done) => setImmediate(done));
}

export function freshDatabases(): void {
  globalThis.indexedDB = new IDBFactory();
}
