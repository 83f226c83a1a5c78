/** The server is ended in the middle of its writing, again and again; what it had said to be kept is there afterwards. */
import { serveApp } from '../servedApp.mjs';
import { seeded } from './seeded.mjs';
import { writer } from './writer.mjs';

/** A cut before anything was kept would prove nothing; on a busy machine the first write takes a while. */
const FIRST_WRITE_MS = 60_000;

export async function powerCuts(data, port, times, seed) {
  const chances = seeded(seed);
  const log = writer('cut');
  const lost = new Set();
  for (let i = 0; i < times; i++) {
    const app = await serveApp(data, port);
    for (const id of await log.lost(app.base)) lost.add(id);
    const before = log.acknowledged.size;
    const writing = log.write(app.base);
    const until = Date.now() + FIRST_WRITE_MS;
    while (log.acknowledged.size === before && Date.now() < until)
      await new Promise((done) => setTimeout(done, 5));
    if (log.acknowledged.size === before) log.strange.push('no write was acknowledged within a minute');
    await new Promise((done) => setTimeout(done, chances.whole(50, 900)));
    await app.kill();
    log.stop();
    await writing;
  }
  const app = await serveApp(data, port);
  for (const id of await log.lost(app.base)) lost.add(id);
  await app.stop();
  return { cuts: times, acknowledged: log.acknowledged.size, lost: [...lost], strange: log.strange };
}
