// Small faults put in by a program (docs/testing.md). scripts/mutants.mjs says where.
export default {
  packageManager: 'npm',
  testRunner: 'jest',
  testRunnerNodeArgs: ['--experimental-vm-modules', '--no-warnings'],
  jest: { projectType: 'custom', configFile: 'jest.mutants.mjs', enableFindRelatedTests: false },
  coverageAnalysis: 'perTest',
  // What is reckoned once, as a module is read, would be tried with every test there is.
  ignoreStatic: true,
  ignorePatterns: ['**/dist', '.data', 'docs', 'test-results', 'e2e'],
  tempDirName: '.data/mutants',
  reporters: ['clear-text', 'json'],
  jsonReporter: { fileName: '.data/mutants.json' },
  clearTextReporter: { allowColor: false, logTests: false, reportTests: false, reportScoreTable: false },
  disableTypeChecks: false,
  concurrency: 2,
  timeoutMS: 20_000,
  thresholds: { high: 90, low: 85, break: null },
};
