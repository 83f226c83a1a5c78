/**
 * The tests that `npm run mutate` asks about one folder of core, named in `MUTATED`: those of the folder itself. They are read in the
 * older form of modules, which Jest loads sooner: each mutant loads them anew.
 */
import all from './jest.config.mjs';

const [[, [transformer, options]]] = Object.entries(all.transform);

export default {
  ...all,
  roots: [`<rootDir>/packages/core/src/${process.env.MUTATED}`],
  // The first two hear minutes of sound for each mutant; the last reads the sources of the whole product.
  testPathIgnorePatterns: ['EchoAwareDetector', 'MusicWatch', 'roles\\.test'],
  reporters: ['default'],
  maxWorkers: 1,
  extensionsToTreatAsEsm: [],
  transform: { '\\.(tsx?|mjs)$': [transformer, { ...options, module: { type: 'commonjs' } }] },
};
