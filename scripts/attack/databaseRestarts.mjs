/** PostgreSQL is restarted under a server that writes; the server stays, says so meanwhile, and loses nothing. */
import { startPostgres } from '../postgres.mjs';
import { serveApp } from '../servedApp.mjs';
import { writer } from './writer.mjs';

const WELL_WITHIN_MS = 5000;

/** Null where there is no PostgreSQL. */
export async function databaseRestarts(data, port, times) {
  const postgres = await startPostgres();
  if (!postgres) return null;
  try {
    const app = await serveApp(data, port, { DATABASE_URL: postgres.url });
    const log = writer('restart');
    const writing = log.write(app.base);
    let slowest = 0;
    for (let i = 0; i < times; i++) {
      await new Promise((done) => setTimeout(done, 700));
      postgres.restart();
      const from = performance.now();
      while (!(await fetch(`${app.base}/api/fighters?limit=1`)).ok)
        await new Promise((done) => setTimeout(done, 50));
      slowest = Math.max(slowest, performance.now() - from);
    }
    log.stop();
    await writing;
    const lost = await log.lost(app.base);
    const { exitCode } = app.process;
    await app.stop();
    return {
      restarts: times,
      acknowledged: log.acknowledged.size,
      lost,
      strange: [
        ...log.strange,
        ...(exitCode === null ? [] : [`the server ended with ${exitCode}`]),
        ...(slowest > WELL_WITHIN_MS ? [`well again only after ${Math.round(slowest)} ms`] : []),
      ],
      slowest,
    };
  } finally {
    postgres.stop();
  }
}
