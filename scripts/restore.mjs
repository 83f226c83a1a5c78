/** `npm run restore`: brings back a copy of the gym; the server has to be stopped. `npm run restore -- --list` shows the copies. */
import { spawnSync } from 'node:child_process';
import { ROOT, build, checkNode, install } from './house.mjs';

checkNode();
install();
build();
const { status } = spawnSync(
  process.execPath,
  ['apps/server/dist/bundle/restore.js', ...process.argv.slice(2)],
  {
    cwd: ROOT,
    stdio: 'inherit',
  },
);
process.exit(status ?? 1);
