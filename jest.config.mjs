/** Unit and contract tests. Sources are read directly; the contract tests start the built server. */
export default {
  roots: ['<rootDir>/packages', '<rootDir>/apps'],
  testEnvironment: 'node',
  setupFiles: ['<rootDir>/scripts/fixedSeeds.mjs'],
  maxWorkers: '100%',
  // Nothing is proved by how quick a machine is: only what hangs is to be ended.
  testTimeout: 60_000,
  testMatch: ['**/*.test.ts'],
  // What is about the embedded database and its folder says nothing of a PostgreSQL server, and the other way round.
  testPathIgnorePatterns: process.env.EURHYTHM_TEST_POSTGRES
    ? [
        '/node_modules/',
        'backups\\.test',
        'starting\\.test',
        'oldFolder\\.test',
        'guard\\.test',
        'generatedClient\\.test',
      ]
    : ['/node_modules/', 'postgres\\.test'],
  testSequencer: '<rootDir>/scripts/slowestFirst.mjs',
  reporters: ['default', '<rootDir>/scripts/slowestFiles.mjs'],
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  transform: {
    '^.+\\.tsx?$': [
      '<rootDir>/scripts/jestTransform.mjs',
      {
        jsc: {
          parser: { syntax: 'typescript', tsx: false, decorators: true },
          transform: { legacyDecorator: true, decoratorMetadata: true, useDefineForClassFields: false },
          target: 'es2022',
          experimental: { keepImportAttributes: true },
        },
        module: { type: 'es6' },
      },
    ],
  },
  moduleNameMapper: {
    '^@eurhythm/core/(.*)$': '<rootDir>/packages/core/src/$1/index.ts',
    '^@eurhythm/contract/cautions$': '<rootDir>/packages/contract/src/gym/cautions.ts',
    '^@eurhythm/contract/clocks$': '<rootDir>/packages/contract/src/rules/clocks.ts',
    '^@eurhythm/contract$': '<rootDir>/packages/contract/src/index.ts',
  },
};
