import type { Pool, PoolClient } from 'pg';

/** Whoever waits for this waits without keeping anything alive. */
const never = (): Promise<never> => new Promise(() => {});

/**
 * Connections of a pool for the package that carries messages between servers. That gives none back that was cut, so that the pool
 * would run out of them with the times the database was away, and asks for another one however often it is told that the pool is
 * closed; a server that waits for its pool would never end.
 */
export class LentConnections {
  private readonly lent = new Set<PoolClient>();
  private isClosed = false;

  constructor(private readonly pool: Pick<Pool, 'connect' | 'query'>) {}

  /** Of a pool, as far as the package needs it. */
  get asPool(): Pool {
    const query = this.pool.query.bind(this.pool);
    return { connect: () => this.connect(), query } as unknown as Pool;
  }

  /** All go back, and no one is lent any more. */
  close(): void {
    this.isClosed = true;
    for (const client of this.lent) client.release(true);
  }

  private async connect(): Promise<PoolClient> {
    if (this.isClosed) return never();
    let client: PoolClient;
    try {
      client = await this.pool.connect();
    } catch (error) {
      if (this.isClosed) return never();
      throw error;
    }
    if (this.isClosed) {
      client.release();
      return never();
    }
    const release = client.release.bind(client);
    this.lent.add(client);
    client.release = (error) => {
      if (this.lent.delete(client)) release(error);
    };
    client.once('end', () => client.release(true));
    return client;
  }
}
