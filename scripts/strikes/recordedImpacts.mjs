/**
 * Recorded impacts: drums struck with sticks, feet and hands, from Debian's packages `hydrogen-drumkits` and `sonic-pi-samples`, read by
 * its `flac`. Some kits are kept apart for the bench.
 */
import { execFileSync, spawnSync } from 'node:child_process';
import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from '../house.mjs';

const { readWav, resample } = await import(join(ROOT, 'packages/core/dist/sound/index.js'));

const FOLDERS = ['/usr/share/hydrogen/data/drumkits', '/usr/share/sonic-pi/samples'];
/** Things that are struck and do not ring on like a cymbal. */
const STRUCK = /kick|tom|snare|conga|bongo|clap|hand|drum_(bass|tom|snare|heavy)|perc_snap/i;
const FOR_BENCH = /Millo_MultiLayered2|Colombo/;
/** The sound begins where it reaches this share of its loudest sample. */
const BEGINS = 0.03;
const LONGEST_SECONDS = 0.7;

export const hasRecordedImpacts = () =>
  FOLDERS.every((folder) => existsSync(folder)) && spawnSync('flac', ['--version']).status === 0;

export const RECORDED_MISSING =
  'Recorded impacts (Debian’s packages hydrogen-drumkits, sonic-pi-samples and flac) are not here.';

function filesIn(folder) {
  return readdirSync(folder, { withFileTypes: true })
    .flatMap((each) => (each.isDirectory() ? filesIn(join(folder, each.name)) : [join(folder, each.name)]))
    .filter((file) => file.endsWith('.flac') && STRUCK.test(file.split('/').at(-1)))
    .sort();
}

function read(file) {
  const wav = execFileSync('flac', ['-d', '-c', '-s', file], { maxBuffer: 1 << 28 });
  const { ok, sound } = readWav(wav);
  if (!ok) return null;
  const most = sound.samples.reduce((max, x) => Math.max(max, Math.abs(x)), 0);
  const begins = sound.samples.findIndex((x) => Math.abs(x) > BEGINS * most);
  if (most === 0) return null;
  const samples = sound.samples.slice(begins, begins + LONGEST_SECONDS * sound.sampleRate);
  return { sampleRate: sound.sampleRate, samples: samples.map((x) => x / most) };
}

const impacts = new Map();

/** The recordings of one part, at this rate, each with 1 as its loudest sample. */
export function recordedImpacts(part, sampleRate) {
  const key = `${part} ${sampleRate}`;
  if (!impacts.has(key)) {
    if (!impacts.has(part)) {
      const files = FOLDERS.flatMap(filesIn).filter((file) => FOR_BENCH.test(file) === (part === 'bench'));
      impacts.set(part, files.map(read).filter(Boolean));
    }
    impacts.set(
      key,
      impacts.get(part).map((sound) => resample(sound, sampleRate).samples),
    );
  }
  return impacts.get(key);
}
