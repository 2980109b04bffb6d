/** How mutants are made and tried; `scripts/mutants.mjs` says of which code. */
const config = {
  testRunner: 'vitest',
  plugins: ['@stryker-mutator/vitest-runner'],
  coverageAnalysis: 'perTest',
  reporters: ['clear-text', 'progress'],
  clearTextReporter: { allowColor: false, reportTests: false, logTests: false },
  concurrency: 2,
  timeoutMS: 60_000,
  // Not within node_modules, where no tests are looked for.
  tempDirName: '.mutants',
  ignorePatterns: ['.next', '.data', 'test-results', 'docs/screenshots', 'bench'],
  // Question marks that the compiler asks for where a list is read by number say nothing.
  mutator: { excludedMutations: ['StringLiteral', 'ObjectLiteral', 'OptionalChaining'] },
  thresholds: { high: 90, low: 80, break: null },
};

export default config;
