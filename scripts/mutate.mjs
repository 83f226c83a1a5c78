/**
 * `npm run mutate [-- FOLDER … --share 0.1 --seed 1]`: changes core one place after the other and asks whether a test notices, folder by
 * folder; prints what share of the changes was noticed, and those that were not. With `--share`, only stretches of so many of its
 * lines, drawn at random, are changed: the whole takes hours. Ends with 1 below 85 %.
 */
import { execFileSync } from 'node:child_process';
import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { seeded } from './attack/seeded.mjs';
import { printTable, row } from './bench/table.mjs';
import { ROOT, install } from './house.mjs';

const ALL = ['body', 'calls', 'run', 'strikes', 'progress'];
/** Lines that are drawn together. */
const STRETCH = 12;
const ASKED = 0.85;
const { values, positionals } = parseArgs({
  options: {
    share: { type: 'string', default: '1' },
    seed: { type: 'string', default: '1' },
    beside: { type: 'string', default: '2' },
  },
  allowPositionals: true,
});
install();

/** The stretches of a folder's sources that are changed. */
function stretches(folder) {
  const chances = seeded(Number(values.seed));
  const root = join('packages/core/src', folder);
  const files = readdirSync(join(ROOT, root), { recursive: true })
    .filter((name) => /\.ts$/.test(name) && !/\.test\.ts$|index\.ts$|testLibrary\.ts$/.test(name))
    .sort();
  return files.flatMap((name) => {
    const path = join(root, name);
    const lines = readFileSync(join(ROOT, path), 'utf8').split('\n').length;
    return Array.from({ length: Math.ceil(lines / STRETCH) }, (_, i) => [
      i * STRETCH + 1,
      Math.min(lines, (i + 1) * STRETCH),
    ])
      .filter(() => chances.chance(Number(values.share)))
      .map(([from, to]) => `${path}:${from}-${to}`);
  });
}

const shares = [];
for (const folder of positionals.length > 0 ? positionals : ALL) {
  const env = {
    ...process.env,
    MUTATED: folder,
    MUTATED_LINES: stretches(folder).join(' '),
    MUTATED_BESIDE: values.beside,
  };
  execFileSync('npx', ['stryker', 'run'], { cwd: ROOT, env, stdio: ['ignore', 'ignore', 'inherit'] });
  const { files } = JSON.parse(readFileSync(join(ROOT, `.build/mutation-${folder}.json`), 'utf8'));
  const mutants = Object.entries(files).flatMap(([path, { mutants, source }]) =>
    mutants.map((each) => ({ ...each, path, line: source.split('\n')[each.location.start.line - 1].trim() })),
  );
  const of = (...kinds) => mutants.filter(({ status }) => kinds.includes(status));
  const missed = of('Survived', 'NoCoverage');
  const caught = of('Killed', 'Timeout').length;
  shares.push(caught / (caught + missed.length));
  row(
    folder,
    `${(100 * shares.at(-1)).toFixed(1)} % noticed`,
    `${caught} of ${caught + missed.length}; ${of('NoCoverage').length} in no test`,
  );
  for (const { path, location, line, mutatorName, replacement } of missed)
    console.log(
      `${path}:${location.start.line} ${mutatorName} ${String(replacement).slice(0, 60)}   ${line.slice(0, 110)}`,
    );
}
printTable();
process.exit(shares.every((share) => share >= ASKED) ? 0 : 1);
