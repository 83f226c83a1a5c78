/**
 * `npm run mutate`: changes core one place after the other and asks whether a test notices. `npm run mutate -- --mutate FILE` asks of one file.
 * What is only text is left alone.
 */
export default {
  testRunner: 'jest',
  testRunnerNodeArgs: ['--experimental-vm-modules', '--no-warnings'],
  jest: { configFile: 'jest.mutants.config.mjs', enableFindRelatedTests: true },
  coverageAnalysis: 'perTest',
  mutate: [
    'packages/core/src/{body,calls,run,strikes,progress}/**/*.ts',
    '!packages/core/src/**/{*.test,index,testLibrary}.ts',
  ],
  mutator: { excludedMutations: ['StringLiteral'] },
  ignoreStatic: true,
  ignorePatterns: ['apps/web/dist*', 'test-results', 'data', '.build', 'docs'],
  concurrency: 2,
  timeoutMS: 30_000,
  tempDirName: '.build/mutants',
  reporters: ['clear-text', 'json'],
  jsonReporter: { fileName: '.build/mutation.json' },
  clearTextReporter: { allowColor: false, logTests: false, reportTests: false },
  thresholds: { high: 95, low: 85, break: 85 },
};
