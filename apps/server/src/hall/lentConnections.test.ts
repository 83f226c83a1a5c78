import { EventEmitter } from 'node:events';
import { setTimeout } from 'node:timers/promises';
import { createAdapter } from '@socket.io/postgres-adapter';
import { LentConnections } from './lentConnections.ts';

/** A connection that the test cuts. */
class HandClient extends EventEmitter {
  released: (boolean | undefined)[] = [];
  asked: string[] = [];
  release(error?: boolean): void {
    this.released.push(error);
  }
  query(text: string): Promise<{ rows: never[] }> {
    this.asked.push(text);
    return Promise.resolve({ rows: [] });
  }
  cut(): void {
    this.emit('end');
  }
}

/** A pool whose connections come when the test lets them. */
class HandPool {
  clients: HandClient[] = [];
  asked = 0;
  coming: (() => void)[] = [];
  isEnded = false;
  waits = false;
  async connect(): Promise<never> {
    this.asked += 1;
    if (this.isEnded) throw new Error('Cannot use a pool after calling end on the pool');
    if (this.waits) await new Promise<void>((come) => this.coming.push(come));
    const client = new HandClient();
    this.clients.push(client);
    return client as never;
  }
  query(): Promise<never> {
    return Promise.resolve({ rows: [] } as never);
  }
}

let pool: HandPool;
let lent: LentConnections;
let close: () => void;

/** The hall over this pool, as the server has it. */
function openHall(): void {
  const hall = createAdapter(lent.asPool)({
    name: '/',
    server: { encoder: {} },
    sockets: new Map(),
  } as never);
  close = () => {
    void hall.close();
    lent.close();
  };
}

beforeEach(() => {
  pool = new HandPool();
  lent = new LentConnections(pool);
});
afterEach(() => close());

it('a connection that was cut goes back to the pool, and another one is asked for', async () => {
  openHall();
  await setTimeout(10);
  const [first] = pool.clients;
  expect(first!.asked).toEqual(['LISTEN "socket.io#/"']);
  first!.cut();
  expect(first!.released).toEqual([true]);
  await setTimeout(3200);
  expect(pool.clients).toHaveLength(2);
  expect(pool.clients[1]!.released).toEqual([]);
  close();
  expect(pool.clients.map(({ released }) => released.length)).toEqual([1, 1]);
});

it('one that comes once the hall is closed goes back at once', async () => {
  pool.waits = true;
  openHall();
  await setTimeout(10);
  close();
  for (const come of pool.coming) come();
  await setTimeout(10);
  expect(pool.clients.map(({ released }) => released.length)).toEqual([1]);
  expect(pool.clients[0]!.asked).toEqual([]);
});

it('none is asked for any more once the hall is closed', async () => {
  pool.isEnded = true;
  openHall();
  await setTimeout(10);
  expect(pool.asked).toBe(1);
  close();
  await setTimeout(3200);
  expect(pool.asked).toBe(1);
});

it('one that is cut while the hall is being closed brings no other one', async () => {
  openHall();
  await setTimeout(10);
  lent.close();
  pool.clients[0]!.cut();
  pool.isEnded = true;
  await setTimeout(3200);
  expect(pool.asked).toBe(1);
});
