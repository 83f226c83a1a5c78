import { resolve } from 'node:path';
import { CannotStart } from './house/cannotStart.ts';
import { takeDataFolder } from './house/dataFolder.ts';
import { openOrExplain } from './openOrExplain.ts';

async function start(): Promise<void> {
  const port = portFrom(process.env['PORT']);
  const host = process.env['HOST'] ?? '127.0.0.1';
  const names = (process.env['EURHYTHM_NAMES'] ?? '').split(',').flatMap((name) => name.trim() || []);
  const dataFolder = resolve(process.env['EURHYTHM_DATA'] ?? 'data');
  const taken = takeDataFolder(dataFolder);
  process.on('exit', () => taken.release());

  // What answers is read while the database opens.
  const [store, { serve }] = await Promise.all([
    openOrExplain({ folder: dataFolder, url: process.env['DATABASE_URL'] }),
    import('./serve.ts'),
  ]);
  await serve(store, { host, port, names, dataFolder });
}

function portFrom(text: string | undefined): number {
  const port = Number(text ?? 4321);
  if (!Number.isInteger(port) || port < 1 || port > 65_535)
    throw new CannotStart(`PORT is a number from 1 to 65535, not “${text}”.`);
  return port;
}

start().catch((error: unknown) => {
  console.error(error instanceof CannotStart ? error.message : error);
  process.exit(1);
});
