/**
 * Contract tests again, with the rows in a PostgreSQL server instead of the embedded database: those of files that speak SQL, lock
 * rows, send messages between servers, or begin anew; with `--all` every one.
 */
import { run } from './house.mjs';
import { startPostgres } from './postgres.mjs';

const SPEAKS_TO_DATABASE = [
  'postgres',
  'versions',
  'lateMarks',
  'lateArrivals',
  'bellMarks',
  'log',
  'neverStale',
  'progress',
  'progressClass',
  'today',
  'keep',
  'persons',
  'uses',
  'house',
];

const postgres = await startPostgres();
if (!postgres) {
  console.log('There is no PostgreSQL here, and none may be installed: its tests are left out.');
  process.exit(process.env.CI ? 1 : 0);
}
process.on('exit', () => postgres.stop());
const files = process.argv.includes('--all')
  ? ['apps/server/test']
  : SPEAKS_TO_DATABASE.map((name) => `apps/server/test/${name}\\.test`);
run('npm', ['run', '-s', 'unit', '--', ...files], { env: { EURHYTHM_TEST_POSTGRES: postgres.url } });
