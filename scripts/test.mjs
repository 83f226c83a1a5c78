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
/** What took how long, told at the end. */
const stages = [];
function stage(name, work) {
  const from = performance.now();
  work();
  stages.push([name, (performance.now() - from) / 1000]);
}

stage('lint', () => run('npm', ['run', '-s', 'lint']));
stage('types', () => run('npm', ['run', '-s', 'types']));
stage('build', build);
stage('unit', () => run('npm', ['run', '-s', 'unit']));
stage('stories', () => run('npm', ['run', '-s', 'e2e']));
const all = stages.reduce((sum, [, seconds]) => sum + seconds, 0);
for (const [name, seconds] of [...stages, ['all', all]])
  console.log(`${name.padEnd(8)} ${String(Math.round(seconds)).padStart(5)} s`);
