/**
 * `npm run attack [-- --requests 20000 --cuts 20 --restarts 5 --seed 1 --no-page]`: attacks a server of its own, on this machine
 * only and in a folder that goes afterwards, and tells in a table what became of it. Ends with 1 where anything was found.
 */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { printTable, row } from '../bench/table.mjs';
import { build, install } from '../house.mjs';
import { serveApp } from '../servedApp.mjs';
import { databaseRestarts } from './databaseRestarts.mjs';
import { hostilePage } from './hostilePage.mjs';
import { hostileRequests } from './hostileRequests.mjs';
import { powerCuts } from './powerCuts.mjs';

const PORT = 4391;
const { values } = parseArgs({
  options: {
    requests: { type: 'string', default: '20000' },
    cuts: { type: 'string', default: '20' },
    restarts: { type: 'string', default: '5' },
    seed: { type: 'string', default: '1' },
    'no-page': { type: 'boolean', default: false },
  },
});
const seed = Number(values.seed);
install();
build();

const found = [];
const verdictOf = (list, title) => {
  found.push(...list.map((fault) => `${title}: ${fault}`));
  return list.length === 0 ? 'nothing found' : `${list.length} found`;
};
const folders = [];
const folder = () => {
  const made = mkdtempSync(join(tmpdir(), 'eurhythm-attack-'));
  folders.push(made);
  return made;
};

if (Number(values.requests) > 0) {
  const app = await serveApp(folder(), PORT);
  const { sent, tally, faults, p99 } = await hostileRequests(app, Number(values.requests), seed);
  const counts = Object.entries(tally).map(([status, n]) => `${n} × ${status}`);
  row(
    `${sent} hostile requests`,
    verdictOf(faults, 'request'),
    `p99 ${Math.round(p99)} ms; ${counts.join(', ')}`,
  );
  await app.stop();
}
if (!values['no-page']) {
  const app = await serveApp(folder(), PORT);
  const { tries, through, shown, ran, taken, refused } = await hostilePage(app);
  row(`${tries} tries of a foreign page`, verdictOf(through, 'foreign page'));
  row(
    `${shown} pages with scripts as texts`,
    verdictOf(ran, 'script'),
    `${taken} texts taken, ${refused} refused`,
  );
  await app.stop();
}
if (Number(values.cuts) > 0) {
  const { cuts, acknowledged, lost, strange } = await powerCuts(folder(), PORT, Number(values.cuts), seed);
  row(
    `${cuts} times kill −9 while writing`,
    verdictOf([...lost, ...strange], 'power cut'),
    `${acknowledged} acknowledged writes`,
  );
}
if (Number(values.restarts) > 0) {
  const restarted = await databaseRestarts(folder(), PORT, Number(values.restarts));
  if (restarted === null) row('PostgreSQL restarts', 'left out', 'there is no PostgreSQL here');
  else {
    const { restarts, acknowledged, lost, strange, slowest } = restarted;
    row(
      `${restarts} PostgreSQL restarts while writing`,
      verdictOf([...lost, ...strange], 'restart'),
      `${acknowledged} acknowledged writes; well again within ${Math.round(slowest)} ms`,
    );
  }
}
for (const each of folders) rmSync(each, { recursive: true, force: true });
printTable();
for (const fault of found.slice(0, 40)) console.log(fault);
process.exitCode = found.length === 0 ? 0 : 1;
