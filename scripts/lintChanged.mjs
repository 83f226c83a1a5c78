/** Lint and format of what came since `main` left its remote, and the dependency rule over all. */
import { execFileSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { changedSince, run } from './house.mjs';

const git = (...args) => execFileSync('git', args, { encoding: 'utf8' }).split('\n');
const changed = [
  ...git('diff', '--name-only', changedSince()),
  ...git('ls-files', '--others', '--exclude-standard'),
].filter((file) => file !== '' && existsSync(file));
const code = changed.filter((file) => /\.(ts|tsx|mjs|mts|cjs)$/.test(file));
if (code.length > 0) run('npx', ['eslint', ...code]);
if (changed.length > 0) run('npx', ['prettier', '--check', '--ignore-unknown', ...changed]);
run('npx', ['depcruise', 'packages', 'apps', '--config', '.dependency-cruiser.cjs']);
