/**
 * The tests that `npm run mutate` asks about one folder of core, named in `MUTATED`: those of the folder itself. They are read in the
 * older form of modules, which Jest loads in a tenth of the time; each mutant loads them anew.
 */
import all from './jest.config.mjs';

const [[, [transformer, options]]] = Object.entries(all.transform);

export default {
  ...all,
  roots: [`<rootDir>/packages/core/src/${process.env.MUTATED}`],
  // Properties over minutes of sound say nothing more about one mutant than the tests beside them, and take half a minute each time.
  testPathIgnorePatterns: ['EchoAwareDetector', 'MusicWatch'],
  reporters: ['default'],
  maxWorkers: 1,
  extensionsToTreatAsEsm: [],
  transform: { '\\.(tsx?|mjs)$': [transformer, { ...options, module: { type: 'commonjs' } }] },
};
