/** `npm test`: lint, types, dependency rule, unit tests, build, and the stories in the real browser. */
import { build, checkNode, install, run, stop } from './house.mjs';

checkNode();
install();
const { needChromium } = await import('./chromium.mjs');
try {
  needChromium();
} catch (error) {
  stop(error.message);
}
run('npm', ['run', '-s', 'lint']);
run('npm', ['run', '-s', 'types']);
build();
run('npm', ['run', '-s', 'unit']);
run('npm', ['run', '-s', 'e2e']);
