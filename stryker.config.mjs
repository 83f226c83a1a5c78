/** One folder of core for `npm run mutate`, named in `MUTATED`; `MUTATED_LINES` are the lines of it that are changed. What is only text is left alone. */
const folder = process.env.MUTATED;

export default {
  testRunner: 'jest',
  testRunnerNodeArgs: ['--no-warnings'],
  jest: { configFile: 'jest.mutants.config.mjs', enableFindRelatedTests: false },
  coverageAnalysis: 'perTest',
  mutate: process.env.MUTATED_LINES.split(' '),
  mutator: { excludedMutations: ['StringLiteral'] },
  ignoreStatic: true,
  ignorePatterns: ['apps', 'e2e', 'test-results', 'data', '.build', 'docs'],
  concurrency: Number(process.env.MUTATED_BESIDE ?? 2),
  timeoutMS: 5_000,
  tempDirName: '.build/mutants',
  reporters: ['json'],
  jsonReporter: { fileName: `.build/mutation-${folder}.json` },
};
