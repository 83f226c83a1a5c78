/** `npm start`: installs and builds what is missing or stale, then serves everything on one port; with `--hall` to the network too. */
import { spawn } from 'node:child_process';
import { ROOT, build, checkNode, install } from './house.mjs';

checkNode();
install();
build();
const server = spawn(process.execPath, ['apps/server/dist/bundle/main.js', ...process.argv.slice(2)], {
  cwd: ROOT,
  stdio: 'inherit',
});
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => server.kill(signal));
server.on('exit', (code, signal) => process.exit(code ?? (signal === null ? 1 : 0)));
