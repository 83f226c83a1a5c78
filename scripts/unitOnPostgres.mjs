/** The contract suite again, with the rows in a PostgreSQL server instead of the embedded database. */
import { run } from './house.mjs';
import { startPostgres } from './postgres.mjs';

const postgres = await startPostgres();
if (!postgres) {
  console.log('There is no PostgreSQL here, and none may be installed: its tests are left out.');
  process.exit(process.env.CI ? 1 : 0);
}
process.on('exit', () => postgres.stop());
run('npm', ['run', '-s', 'unit', '--', 'apps/server/test'], {
  env: { EURHYTHM_TEST_POSTGRES: postgres.url },
});
