/** `npm run bench [core|start|pages|sessions|centre|sound|hearing|load|log|hall|strikes|live|progress|season]`: how fast the parts are, as a table. No figure here is a test; machines differ. */
import { build, install } from '../house.mjs';
import { endServed } from '../servedApp.mjs';
import { printTable, row } from './table.mjs';

install();
build();
const PARTS = {
  core: () => import('./coreBench.mjs'),
  start: () => import('./startBench.mjs'),
  pages: () => import('./pageBench.mjs'),
  sessions: () => import('./sessionBench.mjs'),
  centre: () => import('./centreBench.mjs'),
  sound: async () => {
    await import('./hearingBench.mjs');
    await import('./soundBench.mjs');
  },
  hearing: () => import('./hearingBench.mjs'),
  load: () => import('./loadBench.mjs'),
  log: () => import('./logBench.mjs'),
  hall: () => import('./hallBench.mjs'),
  strikes: async () => {
    await import('./strikesBench.mjs');
    await import('./strikesLiveBench.mjs');
  },
  live: () => import('./strikesLiveBench.mjs'),
  progress: () => import('./progressBench.mjs'),
  season: () => import('./seasonBench.mjs'),
};
const wanted = process.argv.slice(2);
for (const [name, measure] of Object.entries(PARTS))
  if (wanted.length === 0 || wanted.includes(name)) {
    // One part that fails leaves the others, and no server of its own, behind.
    await measure().catch((error) => {
      console.error(error);
      row(`${name} failed`, '–', error instanceof Error ? error.message.slice(0, 80) : String(error));
      process.exitCode = 1;
    });
    endServed();
  }
printTable();
process.exit();
