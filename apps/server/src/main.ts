import { resolve } from 'node:path';
import { CannotStart } from './process/cannotStart.ts';
import { isOwnHost, networkHosts } from './auth/reach.ts';
import { takeDataFolder } from './process/dataFolder.ts';
import { openOrExplain } from './openOrExplain.ts';

async function start(): Promise<void> {
  const port = portFrom(process.env['PORT']);
  const isHall = process.argv.includes('--hall');
  const host = process.env['HOST'] ?? (isHall ? '0.0.0.0' : '127.0.0.1');
  if (isHall && isOwnHost(host))
    throw new CannotStart(`HOST=${host} is this machine alone; leave it out to open the gym to the hall.`);
  const names = (process.env['EURHYTHM_NAMES'] ?? '').split(',').flatMap((name) => name.trim() || []);
  const dataFolder = resolve(process.env['EURHYTHM_DATA'] ?? 'data');
  const taken = takeDataFolder(dataFolder);
  process.on('exit', () => taken.release());

  // What answers is read while the database opens.
  const [store, { serve }] = await Promise.all([
    openOrExplain({ folder: dataFolder, url: process.env['DATABASE_URL'] }),
    import('./serve.ts'),
  ]);
  const certificates = isOwnHost(host)
    ? null
    : await (
        await import('./auth/certificates.ts')
      ).certificatesIn(dataFolder, [...networkHosts(host), ...names]);
  const running = serve(store, { host, port, names, dataFolder, certificates });
  stopOnSignal(running);
  await running;
}

/** Stops what is being started, once, however often the process is reported: a terminal and whoever started this both tell it. */
function stopOnSignal(running: Promise<() => Promise<void>>): void {
  let isStopping = false;
  const end = async (): Promise<void> => {
    if (isStopping) return;
    isStopping = true;
    await (
      await running
    )();
    process.exit(0);
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, () => void end());
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
